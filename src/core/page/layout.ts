import type { FieldRole } from "../catalogue/field-names.ts";
import type { Field } from "../catalogue/field-schema.ts";
import type { PageKind } from "../profile/page-kinds.ts";
import type { CellPart } from "./listing-choices.ts";
import type { Cell, LayoutChanges } from "./pages-schema.ts";

/** A complete layout: every member of {@link LayoutChanges} is set. */
export type Layout = { [K in keyof LayoutChanges]-?: Exclude<LayoutChanges[K], undefined> };

/** The default layout. The default panels depend on the shop: {@link defaultPanels}. */
export const defaultLayout: Layout = {
  panels: [],
  within: [],
  sorts: [],
  size: 24,
  more: "pages",
  form: { wide: "grid" },
  columns: { wide: 0, slim: 2 },
  card: [{ part: "picture" }, { part: "title" }, { part: "price" }],
  table: [
    { title: "", cells: [{ part: "picture" }] },
    { title: "Product", cells: [{ part: "title" }, { part: "stock" }] },
    { title: "Price", cells: [{ part: "price" }] },
    { title: "", cells: [{ part: "variant" }, { part: "basket" }] },
  ],
  ratio: "square",
  picture: 72,
  listing: true,
  nothing: "",
};

/** The default panels of a kind of page: the shop's first one, where products are listed. */
export const defaultPanels = (kind: PageKind, first: string | undefined): Layout["panels"] =>
  kind === "article" || first === undefined ? [] : [{ panel: first }];

/** The fields whose values some parts of a card are. */
const roleOf: Partial<Record<CellPart, FieldRole>> = { text: "description", rating: "rating", stock: "stock" };

/** The field shown by a part of a card; undefined for the card's built-in parts. */
export function fieldOfCell({ part, field }: Cell, fields: Iterable<Field>): Field | undefined {
  const role = roleOf[part];
  if (role === undefined && part !== "field") return undefined;
  return [...fields].find((one) => (role === undefined ? one.key === field : one.role === role));
}

/**
 * The product data that a page needs beside the card: the fields shown on any band, and whether variants can be
 * chosen.
 */
export function showOf(
  { form, card, table }: Pick<Layout, "form" | "card" | "table">,
  fields: Iterable<Field>,
): { fields: string[]; variants: boolean } {
  const all = [...fields];
  const forms = Object.values(form);
  const cells = [
    ...(forms.some((one) => one !== "table") ? card : []),
    ...(forms.includes("table") ? table.flatMap((column) => column.cells) : []),
  ];
  const shown = cells.flatMap((cell) => fieldOfCell(cell, all)?.key ?? []);
  return { fields: [...new Set(shown)], variants: cells.some(({ part }) => part === "variant") };
}

/** A layout with changes applied. */
export const laidOver = (layout: Layout, changes: LayoutChanges | undefined): Layout => ({
  ...layout,
  ...Object.fromEntries(Object.entries(changes ?? {}).filter(([, value]) => value !== undefined)),
});

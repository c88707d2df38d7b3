import type { FieldRole } from "../catalogue/field-names.ts";
import type { Field } from "../catalogue/field-schema.ts";
import type { Cell, LayoutChanges } from "./pages-schema.ts";

/** The kinds of pages that list products, or have a panel in their text. */
export const pageKinds = ["shop", "collection", "category", "brand", "tag", "search", "article"] as const;
export type PageKind = (typeof pageKinds)[number];

/** How products are shown: as cards side by side, as cards one under the other, or as rows of a table. */
export const listForms = ["grid", "list", "table"] as const;
export type ListForm = (typeof listForms)[number];

/** How more than a page of products is shown: by links to pages, behind a button, or while scrolling. */
export const moreWays = ["pages", "button", "scroll"] as const;
export type MoreWay = (typeof moreWays)[number];

/** What a card or a cell of a table can show. */
export const cellParts = [
  "picture",
  "title",
  "text",
  "price",
  "rating",
  "stock",
  "field",
  "variant",
  "basket",
] as const;
export type CellPart = (typeof cellParts)[number];

/** Shapes of pictures, as width to height. */
export const ratios = { square: 1, wide: 4 / 3, tall: 3 / 4 } as const;
export type Ratio = keyof typeof ratios;

/** A whole layout: everything that {@link LayoutChanges} can say, said. */
export type Layout = { [K in keyof LayoutChanges]-?: Exclude<LayoutChanges[K], undefined> };

/** A page as it is until the designer changes it. Which panels stand on it the shop must know: {@link usualPanels}. */
export const usualLayout: Layout = {
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

/** The panels that stand on a kind of page until the designer says otherwise: the shop's first, where products are listed. */
export const usualPanels = (kind: PageKind, first: string | undefined): Layout["panels"] =>
  kind === "article" || first === undefined ? [] : [{ panel: first }];

/** The fields whose values some parts of a card are. */
const roleOf: Partial<Record<CellPart, FieldRole>> = { text: "description", rating: "rating", stock: "stock" };

/** The field whose values a part of a card is made of; undefined for those that are of the card's own. */
export function fieldOfCell({ part, field }: Cell, fields: Iterable<Field>): Field | undefined {
  const role = roleOf[part];
  if (role === undefined && part !== "field") return undefined;
  return [...fields].find((one) => (role === undefined ? one.key === field : one.role === role));
}

/** What a page wants of each product beside its card: the fields that any band shows, and whether variants are chosen. */
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

/** A layout with changes laid over it. */
export const laidOver = (layout: Layout, changes: LayoutChanges | undefined): Layout => ({
  ...layout,
  ...Object.fromEntries(Object.entries(changes ?? {}).filter(([, value]) => value !== undefined)),
});

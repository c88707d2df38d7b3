import { type Catalogue, fieldOf, firstValue } from "../core/catalogue/catalogue.ts";
import type { Field } from "../core/catalogue/field.ts";
import { weightOf } from "../core/engine/index/text-index.ts";
import type { Clause } from "../core/engine/question.ts";
import { standardSorts } from "../core/engine/sort-keys.ts";
import { showOf } from "../core/page/layout.ts";
import type { PagesDocument } from "../core/page/pages-schema.ts";
import type { ShownPage } from "../core/page/shown-page.ts";
import type { PanelDocument } from "../core/panel/panel-schema.ts";
import { isSafePicture } from "../core/sanitize/safe-address.ts";

/** The fields that some fields are computed from. */
const sources: Partial<Record<Field["role"], readonly Field["role"][]>> = {
  availability: ["stock"],
  on_sale: ["price", "list_price"],
};

interface Used {
  fields: readonly Field[];
  panels: readonly PanelDocument[];
  pages: readonly ShownPage[];
  search: PagesDocument["search"];
  /** Names of the slots of the card template. */
  slots: Iterable<string>;
}

/** The fields to include: those that are counted, sorted or searched by, and those shown only on cards. */
export function usedFields({ fields, panels, pages, search, slots }: Used): {
  counted: ReadonlySet<string>;
  shown: ReadonlySet<string>;
} {
  const ofRoles = (roles: readonly Field["role"][]) =>
    fields.filter(({ role }) => roles.includes(role)).map(({ key }) => key);
  const asked = new Set<string>();
  for (const panel of panels) {
    for (const row of panel.rows) if ("field" in row) asked.add(row.field);
  }
  const searches =
    pages.some(({ kind }) => kind === "search") ||
    panels.some(({ rows }) => rows.some((row) => row.kind === "piece" && row.piece === "search"));
  for (const { within, layout, order } of pages) {
    for (const condition of within.flat()) if ("field" in condition) asked.add(condition.field);
    const sorts = layout.sorts.length > 0 ? layout.sorts : standardSorts(fields);
    for (const sort of [order, ...sorts.map((one) => one.sort)])
      for (const key of sort.split(",")) asked.add(key.replace(/^-/, ""));
  }
  if (searches) for (const field of fields) if (weightOf(field, search) > 0) asked.add(field.key);
  for (const field of fields)
    if (asked.has(field.key)) for (const key of ofRoles(sources[field.role] ?? [])) asked.add(key);
  const counted = new Set(fields.filter(({ key }) => asked.has(key)).map(({ key }) => key));
  const onCards = new Set([
    ...ofRoles(["title", "brand", "image", "price", "list_price", "stock", "availability"]),
    ...fields.filter(({ titles }) => titles).map(({ key }) => key),
    ...pages.flatMap(({ layout }) => showOf(layout, fields).fields),
    ...slots,
  ]);
  return { counted, shown: new Set([...onCards].filter((key) => !counted.has(key))) };
}

/**
 * The fields that a page counts, sorts by and shows; undefined if it may show any of them, as cards without pictures
 * do.
 */
export function fieldsOfPage(
  { fields, isPictured }: { fields: readonly Field[]; isPictured: boolean },
  page: ShownPage,
  panels: readonly { panel: PanelDocument; target?: { within: Clause[] } | undefined }[],
  search: PagesDocument["search"],
): string[] | undefined {
  if (showOf(page.layout, fields).variants || !isPictured) return undefined;
  const used = usedFields({
    fields,
    panels: panels.map(({ panel }) => panel),
    // Words in an address are searched on any page.
    pages: [
      page,
      { ...page, kind: "search" },
      ...panels.flatMap(({ target }) => (target ? [{ ...page, within: target.within }] : [])),
    ],
    search,
    slots: [],
  });
  return fields.flatMap(({ key }) => (used.counted.has(key) || used.shown.has(key) ? [key] : []));
}

/** Whether every card has a picture, whichever variant it shows. */
export function allPictured(catalogue: Catalogue): boolean {
  const image = fieldOf(catalogue, "image")?.key;
  const pictureAt = (variant: number) => (image === undefined ? undefined : firstValue(catalogue, image, variant));
  return catalogue.productIds.every((_, product) => {
    const [first, end] = [catalogue.variantStart[product] ?? 0, catalogue.variantStart[product + 1] ?? 0];
    const own = Array.from({ length: end - first }, (_, at) => pictureAt(first + at));
    return own[0] !== undefined && own.every((one) => one === undefined || isSafePicture(one));
  });
}

import type { Field, FieldRole } from "../catalogue/field.ts";
import type { Sort } from "./question.ts";

/** One field of an order. */
export interface SortKey {
  field: string;
  down: boolean;
}

/** Order by relevance to the search words. */
export const bestMatch = "best";
/** The order in which a page's products were picked by hand. */
export const pickedOrder = "picked";
/** Orders that don't refer to fields: these two, and the catalogue's own order for pages with another default. */
export const namedSorts = ["shop", bestMatch, pickedOrder];

/** Maximum number of fields in an order. */
const maxSortKeys = 8;

/** The keys of an order, without unknown fields. */
export const sortKeys = (sort: Sort, known: (field: string) => boolean): SortKey[] =>
  sort
    .split(",")
    .map((part) => (part.startsWith("-") ? { field: part.slice(1), down: true } : { field: part, down: false }))
    // A repeated field has no effect.
    .filter(({ field }, at, all) => known(field) && all.findIndex((one) => one.field === field) === at)
    .slice(0, maxSortKeys);

/** The standard orders of a listing; their labels are up to the listing. */
export type StandardSort = "shop" | "cheap" | "dear" | "new" | "rated" | "name";

/** The orders a listing offers by default, as far as the catalogue has the fields. */
export function standardSorts(fields: readonly Field[]): { sort: Sort; goesBy: StandardSort }[] {
  const offered: [role: FieldRole, down: boolean, goesBy: StandardSort][] = [
    ["price", false, "cheap"],
    ["price", true, "dear"],
    ["published", true, "new"],
    ["rating", true, "rated"],
    ["title", false, "name"],
  ];
  const found = offered.flatMap(([role, down, goesBy]) => {
    const field = fields.find((one) => one.role === role || (role === "title" && one.titles));
    return field ? [{ sort: `${down ? "-" : ""}${field.key}`, goesBy }] : [];
  });
  return [{ sort: "", goesBy: "shop" }, ...found];
}

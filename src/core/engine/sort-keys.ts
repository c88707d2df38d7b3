import type { Field, FieldRole } from "../catalogue/field.ts";
import type { Sort } from "./question.ts";

/** One field of an order. */
export interface SortKey {
  field: string;
  down: boolean;
}

/** The order by how well products fit the words that are searched for. */
export const bestMatch = "best";
/** The order in which a page's products were picked by hand. */
export const pickedOrder = "picked";
/** Orders that go by no field: those, and the catalogue's own, where a page is in another. */
export const namedSorts = ["shop", bestMatch, pickedOrder];

/** Fields that an order goes by at most. */
const mostSortKeys = 8;

/** The keys of an order, those of unknown fields left out. */
export const sortKeys = (sort: Sort, known: (field: string) => boolean): SortKey[] =>
  sort
    .split(",")
    .map((part) => (part.startsWith("-") ? { field: part.slice(1), down: true } : { field: part, down: false }))
    // A field that comes again changes nothing any more.
    .filter(({ field }, at, all) => known(field) && all.findIndex((one) => one.field === field) === at)
    .slice(0, mostSortKeys);

/** The orders that a listing can offer, by what they go by; what each is called is the listing's affair. */
export type StandardSort = "shop" | "cheap" | "dear" | "new" | "rated" | "name";

/** The orders that a listing offers until the designer chooses others, as far as the catalogue has the fields. */
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

import type { Catalogue } from "../catalogue/catalogue.ts";

/** Places of products that two states of a catalogue both have. */
export type SharedProducts = readonly (readonly [before: number, after: number])[];

/** Of the golden ratio: its multiples fall evenly between whole numbers, and in step with nothing that a file repeats. */
const evenly = (Math.sqrt(5) - 1) / 2;

/** Products that both catalogues have, by id. @param most where there are more, about so many of them, evenly over the file */
export function sharedProducts(before: Catalogue, after: Catalogue, most = Number.POSITIVE_INFINITY): SharedProducts {
  const places = new Map(before.productIds.map((id, p) => [id, p]));
  const both = after.productIds.flatMap((id, p) => {
    const old = places.get(id);
    return old === undefined ? [] : [[old, p] as const];
  });
  const share = most / both.length;
  return share >= 1 ? both : both.filter((_, at) => (at * evenly) % 1 < share);
}

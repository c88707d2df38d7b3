import type { Catalogue } from "../catalogue/catalogue.ts";

/** Index pairs of products that two states of a catalogue share. */
export type SharedProducts = readonly (readonly [before: number, after: number])[];

/** The golden ratio's fraction: its multiples are evenly spread and in step with no pattern in a file. */
const evenly = (Math.sqrt(5) - 1) / 2;

/**
 * Products in both catalogues, by id.
 * @param most maximum number, approximately; a sample spread evenly over the file
 */
export function sharedProducts(before: Catalogue, after: Catalogue, most = Number.POSITIVE_INFINITY): SharedProducts {
  const places = new Map(before.productIds.map((id, p) => [id, p]));
  const both = after.productIds.flatMap((id, p) => {
    const old = places.get(id);
    return old === undefined ? [] : [[old, p] as const];
  });
  const share = most / both.length;
  return share >= 1 ? both : both.filter((_, at) => (at * evenly) % 1 < share);
}

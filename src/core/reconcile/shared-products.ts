import type { Catalogue } from "../catalogue/catalogue.ts";
import { spreadSample } from "../catalogue/sample.ts";

/** Index pairs of products that two states of a catalogue share. */
export type SharedProducts = readonly (readonly [before: number, after: number])[];

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
  return spreadSample(both, most);
}

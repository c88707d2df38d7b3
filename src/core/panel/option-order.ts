import type { Option } from "../index/facet-index.ts";
import type { OptionOrder } from "./document.ts";

const byName = new Intl.Collator(undefined, { sensitivity: "base" });
const natural = new Intl.Collator(undefined, { sensitivity: "base", numeric: true });
const clothing = ["xxs", "xs", "s", "m", "l", "xl", "xxl", "xxxl"];

/**
 * Places of the options in the order in which shoppers read them.
 * @param counts what `count` goes by, an option each; equal ones keep the natural order
 */
export function orderOptions(options: readonly Option[], counts: ArrayLike<number>, order: OptionOrder): number[] {
  const places = options.map((_, place) => place);
  const compare = (a: number, b: number) =>
    order === "name" ? byName.compare(options[a].label, options[b].label) : naturally(options[a], options[b]);
  return places.sort((a, b) => (order === "count" ? counts[b] - counts[a] : 0) || compare(a, b) || a - b);
}

/** Clothing sizes by size, numbers by value, the rest by name. */
export function naturally(a: Option, b: Option): number {
  const [sizeA, sizeB] = [clothing.indexOf(a.id), clothing.indexOf(b.id)];
  if (sizeA >= 0 && sizeB >= 0) return sizeA - sizeB;
  return natural.compare(a.label, b.label);
}

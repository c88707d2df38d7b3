import { naturalOrder } from "../catalogue/value-order.ts";
import type { Option } from "../index/facet-index.ts";
import type { OptionOrder } from "./document.ts";

const byName = new Intl.Collator("en", { sensitivity: "base" });

/**
 * Places of the options in the order in which shoppers read them.
 * @param counts what `count` goes by, an option each; equal ones keep the natural order
 */
export function orderOptions(options: readonly Option[], counts: ArrayLike<number>, order: OptionOrder): number[] {
  const places = options.map((_, place) => place);
  const byLabel = order === "name" ? byName.compare : naturalOrder(options.map(({ label }) => label));
  const compare = (a: number, b: number) => byLabel(options[a].label, options[b].label);
  return places.sort((a, b) => (order === "count" ? counts[b] - counts[a] : 0) || compare(a, b) || a - b);
}

import { naturalOrder } from "../catalogue/value-order.ts";
import type { Option } from "../index/option-schema.ts";
import type { OptionOrder } from "../setting/settings.ts";

const byName = new Intl.Collator("en", { sensitivity: "base" });

/**
 * Places of the options in the order in which shoppers read them.
 * @param counts what `count` goes by, an option each; equal ones keep the natural order
 * @param byHand identities in the order by hand; others come behind them, by count
 */
export function orderOptions(
  options: readonly Option[],
  counts: ArrayLike<number>,
  order: OptionOrder,
  byHand: readonly string[] = [],
): number[] {
  const places = options.map((_, place) => place);
  const byLabel = order === "name" ? byName.compare : naturalOrder(options.map(({ label }) => label));
  const compare = (a: number, b: number) => byLabel(options[a]?.label ?? "", options[b]?.label ?? "");
  const handPlace = new Map(byHand.map((id, at) => [id, at]));
  const hand = (o: number) => (order === "hand" ? (handPlace.get(options[o]?.id ?? "") ?? byHand.length) : 0);
  const counted = order === "count" || order === "hand";
  return places.sort(
    (a, b) => hand(a) - hand(b) || (counted ? (counts[b] ?? 0) - (counts[a] ?? 0) : 0) || compare(a, b) || a - b,
  );
}

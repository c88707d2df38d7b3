import { collatorOf, naturalOrder } from "../catalogue/value-order.ts";
import type { Option } from "../engine/index/option-schema.ts";
import type { OptionOrder } from "../settings/settings.ts";

/**
 * Indices of the options in display order.
 * @param counts of each option, for the order by count; ties keep the natural order
 * @param byHand identities in the order by hand; others follow by count
 * @param language BCP 47 tag of the shopper's language, for comparing names
 */
export function orderOptions(
  options: readonly Option[],
  counts: ArrayLike<number>,
  order: OptionOrder,
  byHand: readonly string[] = [],
  language = "en",
): number[] {
  const places = options.map((_, place) => place);
  const labels = options.map(({ label }) => label);
  const byLabel = order === "name" ? collatorOf(language, false).compare : naturalOrder(labels, language);
  const compare = (a: number, b: number) => byLabel(labels[a] ?? "", labels[b] ?? "");
  const handPlace = new Map(byHand.map((id, at) => [id, at]));
  const hand = (o: number) => (order === "hand" ? (handPlace.get(options[o]?.id ?? "") ?? byHand.length) : 0);
  const counted = order === "count" || order === "hand";
  return places.sort(
    (a, b) => hand(a) - hand(b) || (counted ? (counts[b] ?? 0) - (counts[a] ?? 0) : 0) || compare(a, b) || a - b,
  );
}

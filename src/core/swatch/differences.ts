import { differing, shortenedList } from "../document/differences.ts";
import type { SwatchDocument } from "./book-schema.ts";

/** Lists the changes of a swatch book. @param nameOf the label of a field for shoppers */
export function* swatchDifferences(
  was: SwatchDocument,
  is: SwatchDocument,
  nameOf: (field: string) => string,
): Generator<string> {
  const shared = differing(was.shared, is.shared);
  if (shared.length > 0) yield `${shortenedList(shared)} ${shared.length === 1 ? "has" : "have"} a different swatch`;
  for (const field of differing(was.own, is.own)) {
    const values = differing(was.own[field] ?? {}, is.own[field] ?? {});
    yield `${shortenedList(values)} ${values.length === 1 ? "has" : "have"} a different swatch in ${nameOf(field)} only`;
  }
  for (const field of differing(was.photos, is.photos)) {
    const values = differing(was.photos[field] ?? {}, is.photos[field] ?? {});
    yield `colours were read from the pictures of ${nameOf(field)}: ${values.length} ${values.length === 1 ? "value" : "values"}`;
  }
  for (const field of differing(was.order, is.order))
    yield `${nameOf(field)} uses its colour sources in a different order`;
  if (was.limit !== is.limit) yield `swatches count as too close below ${is.limit}, before: ${was.limit}`;
}

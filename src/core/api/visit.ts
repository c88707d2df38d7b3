import { type InferType, lazy } from "yup";
import { largest } from "../catalogue/numbers/bounds.ts";
import { exact, listOf, numberIn, oneOf, someText, text, wholeIn } from "../document/schema.ts";
import { bands } from "../settings/band.ts";

/** Version of the format of visits that this code writes. */
export const visitFormat = 1;

/**
 * Acts of a shopper: saw a page, opened a folded facet, chose in a field, removed a choice, cleared all, searched, turned
 * to a results page, changed the order, found nothing, or opened a product.
 */
export const visitActs = [
  "see",
  "unfold",
  "choose",
  "remove",
  "clear",
  "search",
  "turn",
  "sort",
  "nothing",
  "open",
] as const;

const count = () => wholeIn(0, largest).optional();
const end = () => numberIn(-largest, largest).optional();

const chosenOptions = listOf(someText(2000), 1000).optional();
const chosenRange = exact({ min: end(), max: end(), below: end() }).optional().default(undefined);

/** A range or options that were chosen. */
const chosen = lazy((value: unknown) => (Array.isArray(value) ? chosenOptions : chosenRange));

/** One act of a visit, as a line of JSON. It contains nothing about the person. */
export const visit = exact({
  format: wholeIn(visitFormat, visitFormat).required(),
  /** In UTC, to the second, such as `2026-11-30T09:15:00Z`. */
  at: someText(20).matches(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\dZ$/),
  /** A random number that lives as long as the tab. */
  tab: someText(40),
  /** Number of the edition; absent for a handoff of something else. */
  edition: wholeIn(1, largest).optional(),
  /** Address of the page in the shop. */
  page: someText(2000),
  band: oneOf(bands),
  /** Slug of the panel that was used; absent if none was. */
  panel: someText(500).optional(),
  act: oneOf(visitActs),
  field: someText(500).optional(),
  /** The options or the range that was chosen or removed. */
  chosen,
  /** Search words, the order, or the id of the product that was opened. */
  text: text(2000).optional(),
  /** Number of products before and after. */
  before: count(),
  after: count(),
  /** Time until the result was shown, in ms. */
  ms: count(),
});

/** See {@link visit}. */
export type Visit = InferType<typeof visit>;
export type VisitAct = (typeof visitActs)[number];

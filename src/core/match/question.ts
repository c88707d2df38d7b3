import { type InferType, lazy, mixed } from "yup";
import { exact, listOf, numberIn, oneOf, record, someText, text, wholeIn } from "../document/schema.ts";
import { mergeSchema } from "../index/option-schema.ts";
import { largest } from "../numbers/bounds.ts";
import { partings } from "../numbers/parting.ts";
import { rangeSchema } from "../numbers/range-schema.ts";

/** How the choices within one facet combine. */
export const modes = ["any", "all", "one", "range", "tree"] as const;
export type Mode = (typeof modes)[number];

const anyNumber = () => numberIn(-largest, largest);

const chosenOptions = exact({ options: listOf(someText(2000), 2000) });
const hasOptions = (value: unknown): boolean => typeof value === "object" && value !== null && "options" in value;

/** Chosen options by their identities, in the order chosen, or a range. */
const choice = lazy((value: unknown) => (hasOptions(value) ? chosenOptions : rangeSchema));

const rangesByRule = exact({ by: oneOf(partings), parts: wholeIn(1, 50).required() });
const rangesBetween = exact({ limits: listOf(anyNumber().required(), 50) });
const rangesUpwards = exact({ from: listOf(anyNumber().required(), 50) });

/** Ranges of a number line: parted by rule into about so many, between limits, or from each of some numbers up. */
const rangeSpec = lazy((value: unknown) => {
  if (typeof value === "object" && value !== null && "limits" in value) return rangesBetween;
  return typeof value === "object" && value !== null && "from" in value ? rangesUpwards : rangesByRule;
});

const facet = exact({
  field: someText(500),
  mode: oneOf(modes),
  /** Values that are one option. */
  merges: listOf(mergeSchema, 500).optional().default(undefined),
  /** Ranges to be counted, for a facet whose mode is `range`. */
  ranges: lazy((value: unknown) => (value === undefined ? mixed<never>().optional() : rangeSpec.resolve({ value }))),
});

const selection = exact({
  /** Field key → choice. A field without a choice is absent. */
  choices: record(choice),
  /** Words to search for; empty for none. */
  text: text(1000),
});

/** What a listing page asks. */
export const question = exact({
  facets: listOf(facet, 300),
  selection,
  /**
   * An order of products: field keys joined by commas, the first most important, a `-` in front of those that
   * fall. Empty for the catalogue's own order. It is also what stands in an address.
   */
  sort: text(500),
  /** First product wanted, and how many. */
  from: wholeIn(0, largest).required(),
  size: wholeIn(0, 500).required(),
});

/** A question as it travels, with the names of the unchanging parts that the asker has. */
export const wireQuestion = question.concat(exact({ has: listOf(text(100_000), 300) }));

/** Chosen options, or a range. */
export type Choice = InferType<typeof choice>;
export type Choices = InferType<typeof selection>["choices"];
/** What a shopper has chosen on a page. */
export type Selection = InferType<typeof selection>;
/** A facet as the engine sees it: one question over one field. */
export type Facet = InferType<typeof facet>;
export type RangeSpec = InferType<typeof rangeSpec>;
export type Sort = string;
export type Question = InferType<typeof question>;
export type WireQuestion = InferType<typeof wireQuestion>;

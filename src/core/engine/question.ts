import { boolean, type InferType, lazy, mixed } from "yup";
import { binnings } from "../catalogue/numbers/binning.ts";
import { largest } from "../catalogue/numbers/bounds.ts";
import { rangeSchema } from "../catalogue/numbers/range-schema.ts";
import { said } from "../document/json-schema.ts";
import { exact, listOf, numberIn, oneOf, record, someText, text, wholeIn } from "../document/schema.ts";
import { limits, limitText } from "../sanitize/limits.ts";
import { mergeSchema } from "./index/option-schema.ts";
import { searching } from "./index/search-schema.ts";

/** How the choices within one facet combine. */
export const modes = ["any", "all", "one", "range", "tree"] as const;
export type Mode = (typeof modes)[number];

const anyNumber = () => numberIn(-largest, largest);

const chosenOptions = exact({ options: listOf(someText(2000), 2000) });
const hasOptions = (value: unknown): boolean => typeof value === "object" && value !== null && "options" in value;

/** Chosen options by their identities, in the order chosen, or a range. */
const choice = lazy((value: unknown) => (hasOptions(value) ? chosenOptions : rangeSchema));

/** “Stars and up” ranges divide a rating out of five or ten. */
const rules = [...binnings, "stars"] as const;
const rangesByRule = exact({ by: oneOf(rules), parts: wholeIn(1, 50).required() });
const rangesBetween = exact({ limits: listOf(anyNumber().required(), 50) });
const rangesUpwards = exact({ from: listOf(anyNumber().required(), 50) });

/** Ranges of a number line: by rule into about the given number, between limits, or from each of some numbers up. */
const rangeSpec = lazy((value: unknown) => {
  if (typeof value === "object" && value !== null && "limits" in value) return rangesBetween;
  return typeof value === "object" && value !== null && "from" in value ? rangesUpwards : rangesByRule;
});

const facet = exact({
  field: someText(500),
  mode: oneOf(modes),
  /** Values that are one option. */
  merges: listOf(mergeSchema, 500).optional().default(undefined),
  /** Its scale is logarithmic-like, and so are its bins. */
  bent: boolean().strict().optional(),
  /** Ranges to count, for a facet whose mode is `range`. */
  ranges: lazy((value: unknown) => (value === undefined ? mixed<never>().optional() : rangeSpec.resolve({ value }))),
});

const selection = exact({
  /** Field key → choice. A field without a choice is absent. */
  choices: record(choice),
  /** Words to search for; empty for none. */
  text: text(1000),
});

const statesValue = exact({ field: someText(500), options: listOf(someText(2000), 2000) });
const statesRange = exact({
  field: someText(500),
  min: anyNumber().optional(),
  max: anyNumber().optional(),
});
const isOneOf = exact({ products: listOf(someText(10_000), 10_000) });
const hasWords = exact({ words: text(1000) });

/**
 * A standing condition of a page: one of some values of a field, where a category includes its subcategories; a number
 * or date within two ends; one of some product ids; or search words.
 */
export const condition = lazy((value: unknown) => {
  if (typeof value !== "object" || value === null) return statesValue;
  if ("products" in value) return isOneOf;
  if ("words" in value) return hasWords;
  return "options" in value ? statesValue : statesRange;
}).meta(said((of) => ({ anyOf: [statesValue, statesRange, isOneOf, hasWords].map(of) })));

/** Conditions of which one must hold. */
export const clause = listOf(condition, 200);

/** A question of a listing page. */
export const question = exact({
  /** The conditions of a page's products: all must be true, beside every choice. Empty for the whole catalogue. */
  within: listOf(clause, 200).test(
    "conditions",
    ({ path }) => `${path} has more than ${limitText(limits.conditions)} conditions`,
    (clauses) => (clauses ?? []).reduce((sum, one) => sum + one.length, 0) <= limits.conditions.max,
  ),
  facets: listOf(facet, 300),
  selection,
  /**
   * An order of products: field keys joined by commas, most important first, with `-` for descending. Empty for the
   * catalogue's own order. Also used in addresses.
   */
  sort: text(500),
  /** Product data requested beside the card. */
  show: exact({
    /** Fields whose values are shown. */
    fields: listOf(someText(500), 100),
    /** Its variants, to choose among. */
    variants: boolean().strict().required(),
  })
    .optional()
    .default(undefined),
  /** The weights of fields in a search; defaults if absent. */
  searching: searching.optional().default(undefined),
  /** Whether to suggest what to remove if nothing is found. */
  mends: boolean().strict().optional(),
  /** Index of the first requested product, and their number. */
  from: wholeIn(0, largest).required(),
  size: wholeIn(0, 500).required(),
});

/** A question as sent, with the names of the unchanging parts that the caller already has. */
export const wireQuestion = question.concat(exact({ has: listOf(text(100_000), 300) }));

/** Chosen options, or a range. */
export type Choice = InferType<typeof choice>;
export type Choices = InferType<typeof selection>["choices"];
/** A shopper's choices on a page. */
export type Selection = InferType<typeof selection>;
/** A facet as the engine sees it: one question over one field. */
export type Facet = InferType<typeof facet>;
export type RangeSpec = InferType<typeof rangeSpec>;
export type Sort = string;
/** See {@link condition}. */
export type Condition = InferType<typeof condition>;
/** See {@link clause}. */
export type Clause = InferType<typeof clause>;
export type Question = InferType<typeof question>;
export type WireQuestion = InferType<typeof wireQuestion>;

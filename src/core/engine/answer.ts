import { type InferType, mixed } from "yup";
import { fieldSchema } from "../catalogue/field-schema.ts";
import { largest } from "../catalogue/numbers/bounds.ts";
import { rangeSchema } from "../catalogue/numbers/range-schema.ts";
import { exact, listOf, numberIn, oneOf, record, someText, text, wholeIn } from "../document/schema.ts";
import { cardSchema } from "./cards/card-schema.ts";
import { levels, optionSchema } from "./index/option-schema.ts";

const most = 1_000_000;
const number = () => numberIn(-largest, largest).required();
const whole = () => wholeIn(0, largest).required();
/** Numbers as a list, or as a typed array if engine and caller share memory rather than JSON. */
const counts = () =>
  mixed<ArrayLike<number>>(
    (value): value is ArrayLike<number> => Array.isArray(value) || ArrayBuffer.isView(value),
  ).required();

/**
 * Counts in bins: bin `i` counts values from `edges[i]` up to but excluding the next edge; the last bin includes it. A
 * product counts once per bin.
 */
const histogram = exact({ edges: listOf(number(), 1001), counts: listOf(whole(), 1000) });

/** A range facet's ends, null if nothing matches, and the distribution of values between them. */
const rangeAnswer = exact({
  min: numberIn(-largest, largest).nullable().defined(),
  max: numberIn(-largest, largest).nullable().defined(),
  histogram: histogram.nullable().defined(),
});

/** The part of a facet's answer that does not change with the selection. */
const steadyFacet = exact({
  field: fieldSchema,
  level: oneOf(levels),
  /** Products of the page that state the field. */
  reach: whole(),
  /** In the order in which the catalogue first states them; none for a range. */
  options: listOf(optionSchema, most),
  /** For a range: the ranges in which it is counted. */
  ranges: listOf(rangeSchema, 1000),
  /** Number of products of each option, or of each range. */
  counts: counts(),
  range: rangeAnswer.optional().default(undefined),
});

const wireFacet = exact({
  live: counts(),
  range: rangeAnswer.optional().default(undefined),
  steady: steadyFacet.optional().default(undefined),
});

/**
 * A part of a selection that can be removed on its own: the choice of a field, one option of an all-of choice, or the
 * search words.
 */
const part = exact({
  /** Absent for the words that were searched for. */
  field: someText(500).optional(),
  /** Absent for the whole choice of the field. */
  option: someText(2000).optional(),
});

/**
 * A smallest set of parts of a selection whose removal finds something: one, or two if no single one helps, and how
 * many products.
 */
const takeBack = exact({ parts: listOf(part, 2), total: whole() });

/** An answer as sent: parts that do not change with the selection are left out if the caller has them. */
export const wireAnswer = exact({
  /** Products that match, and products on the page before any choice. */
  total: whole(),
  outOf: whole(),
  /** The requested section of the matching products, in order. */
  products: listOf(cardSchema, 1000),
  /** By field key. */
  facets: record(wireFacet),
  /** Only if nothing was found and it was requested: what to remove, most products first. */
  takeBacks: listOf(takeBack, 100).optional().default(undefined),
  /** Similar searches that do find something. */
  near: listOf(text(1000), 10).optional().default(undefined),
});

export type Histogram = InferType<typeof histogram>;
export type RangeAnswer = InferType<typeof rangeAnswer>;
export type SteadyFacet = InferType<typeof steadyFacet>;
export type TakeBack = InferType<typeof takeBack>;
export type RangeCount = InferType<typeof part>;
export type WireAnswer = InferType<typeof wireAnswer>;
export type WireFacet = WireAnswer["facets"][string];

/**
 * Counts per option, in the order of a facet's options or ranges: for the current selection, and for the whole page.
 */
export interface CountAnswer {
  live: SteadyFacet["counts"];
  steady: SteadyFacet["counts"];
}

/** A range facet, for the current selection and for the whole page. */
export interface RangePair {
  live: RangeAnswer;
  steady: RangeAnswer;
}

/** A page's data about one facet. */
export interface FacetAnswer extends Omit<SteadyFacet, "counts" | "range"> {
  counts: CountAnswer;
  /** For a facet whose mode is `range`. */
  range?: RangePair;
}

/** The answer for a listing page. */
export interface Answer extends Omit<WireAnswer, "facets"> {
  /** By field key. */
  facets: Readonly<Record<string, FacetAnswer>>;
}

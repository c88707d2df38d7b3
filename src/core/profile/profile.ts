import type { Field } from "../catalogue/field.ts";
import { isNested, isNumeric, toNumber } from "../catalogue/field-kinds.ts";
import { binEdges, binOf } from "../catalogue/numbers/bins.ts";
import { skewness } from "../catalogue/numbers/distribution.ts";
import { roundLimits } from "../catalogue/numbers/price-ranges.ts";
import { countAt } from "../catalogue/numbers/tally.ts";
import { seriesName } from "../catalogue/value-order.ts";
import { everything } from "../engine/base.ts";
import { liveCounts, reachCount } from "../engine/count.ts";
import type { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import type { Level } from "../engine/index/option-schema.ts";
import { Matcher } from "../engine/matcher.ts";
import type { Facet } from "../engine/question.ts";
import { lowestOf } from "../engine/range.ts";

/** The data about one field needed to judge whether it makes a facet, and which display suits. */
export interface FieldProfile {
  field: Field;
  level: Level;
  /** Products that state the field, and products in the catalogue. */
  reach: number;
  outOf: number;
  /** Distinct values; for a path, categories at all levels. */
  options: number;
  /** Number of distinct values that are numbers or dates, with the lowest and highest. */
  numbers: number;
  min: number | null;
  max: number | null;
  /** Levels of the deepest path; 1 for other fields. */
  depth: number;
  /** Length in characters of the longest value. */
  longest: number;
  /** Distinct values that differ only in case or white space. */
  clashes: number;
  /** The most frequent values. */
  samples: string[];
  /** Products that state the most frequent value. */
  commonest: number;
  /** Third standardised moment of a numeric field's values; above 1 a few large values stretch the scale. */
  skewness: number;
  /** The median of a numeric field. */
  middle: number | null;
  /** Limits of round ranges with about as many values in each, for a numeric field. */
  limits: number[];
  /** Share of a numeric field's values in the fullest bar of its histogram on a straight scale; 0 for other fields. */
  crowded: number;
  /** The series of the values: sizes, months or days of the week. */
  series: "sizes" | "months" | "days" | undefined;
}

const sampleCount = 5;
/** Number of price ranges that a shopper takes in at a glance. Common practice, no source. */
const rangeCount = 5;
const maxInSeries = 40;

/** The lowest number of each product, in ascending order. */
function lowestIn(index: CatalogueIndex, key: string): Float64Array {
  const numbers = index.numbers(key);
  const records = Array.from({ length: numbers.starts.length - 1 }, (_, record) => record);
  return lowestOf(numbers, records, numbers.level === "variant" ? index.productOf : undefined);
}

const bars = 24;

/** The share of ascending numbers in the fullest of equal bins. */
function crowdedShare(sorted: Float64Array): number {
  const [min, max] = [sorted[0], sorted.at(-1)];
  if (min === undefined || max === undefined || max === min) return 0;
  const edges = binEdges(min, max, bars);
  const counts = new Uint32Array(edges.length);
  for (const value of sorted) countAt(counts, binOf(edges, value));
  return Math.max(...counts) / sorted.length;
}

/** Looks at one field of a catalogue. */
export function profileField(index: CatalogueIndex, field: Field): FieldProfile {
  const tree = isNested(field);
  const { options, level } = index.options(field.key, tree);
  const spellings = index.catalogue.columns.get(field.key)?.spellings ?? [];
  const numbers = spellings.map((text) => toNumber(text, field.kind)).filter((value) => !Number.isNaN(value));
  const facet: Facet = { field: field.key, mode: tree ? "tree" : "any" };
  const page = new Matcher(index, everything(index), [], {});
  const uses = liveCounts(page, facet);
  const sorted = isNumeric(field) ? index.numbers(field.key).values.toSorted() : new Float64Array();
  const byUse = options.map((_, o) => o).sort((a, b) => (uses[b] ?? 0) - (uses[a] ?? 0));
  return {
    field,
    level,
    // Values that could not be read as numbers or days are in no range.
    reach: reachCount(page, isNumeric(field) ? { field: field.key, mode: "range" } : facet),
    outOf: index.products,
    options: options.length,
    numbers: new Set(numbers).size,
    min: numbers.reduce<number | null>((least, value) => (least === null || value < least ? value : least), null),
    max: numbers.reduce<number | null>((most, value) => (most === null || value > most ? value : most), null),
    depth: tree ? options.reduce((most, { id }) => Math.max(most, id.split(" > ").length), 1) : 1,
    longest: options.reduce((most, { label }) => Math.max(most, label.length), 0),
    clashes: tree ? 0 : spellings.length - options.length,
    samples: byUse.slice(0, sampleCount).map((o) => options[o]?.label ?? ""),
    commonest: byUse.length > 0 ? (uses[byUse[0] ?? 0] ?? 0) : 0,
    skewness: skewness(sorted),
    middle: sorted[sorted.length >> 1] ?? null,
    limits: isNumeric(field) ? roundLimits(lowestIn(index, field.key), rangeCount, "products") : [],
    crowded: crowdedShare(sorted),
    series: options.length <= maxInSeries ? seriesName(options.map(({ label }) => label)) : undefined,
  };
}

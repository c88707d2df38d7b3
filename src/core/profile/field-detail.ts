import { titleOf } from "../catalogue/catalogue.ts";
import type { Field } from "../catalogue/field.ts";
import { isNested, isNumeric } from "../catalogue/field-kinds.ts";
import { identity } from "../catalogue/identity.ts";
import { type Distribution, describeNumbers } from "../catalogue/numbers/distribution.ts";
import { findUnits, type UnitFinding } from "../catalogue/numbers/units.ts";
import type { Histogram } from "../engine/answer.ts";
import { everything } from "../engine/base.ts";
import { liveCounts, productsWithoutValue } from "../engine/count.ts";
import type { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import { Matcher } from "../engine/matcher.ts";
import type { Facet } from "../engine/question.ts";
import { liveRange } from "../engine/range.ts";
import { type Answers, answersTo } from "./answers.ts";
import { type Clash, findClashes } from "./clashes.ts";

export interface ValueCount {
  label: string;
  products: number;
}

/** Everything about one field: more than a table of fields needs, so computed on request. */
export interface FieldDetail {
  /** Values with their number of products, most frequent first. */
  values: ValueCount[];
  /** Number of values stated by one product only. */
  singles: number;
  /** Effect of one answer. */
  answers: Answers;
  /** Values written in several ways that count as one. */
  spellings: { label: string; written: string[] }[];
  clashes: Clash[];
  units: UnitFinding | undefined;
  /** For numbers and dates. */
  numbers: { distribution: Distribution; histogram: Histogram | null } | undefined;
  /** Products without a value: their number, and the first of them. */
  silent: number;
  silentProducts: { id: string; title: string }[];
}

const shownSilent = 50;
const bins = 24;

/** Products per value of a field over the whole catalogue, the most frequent first. */
function countValues(matcher: Matcher, { field, mode }: Facet): ValueCount[] {
  const counts = liveCounts(matcher, { field, mode });
  return matcher.index
    .options(field, mode === "tree")
    .options.map(({ label }, o) => ({ label, products: counts[o] ?? 0 }))
    .sort((a, b) => b.products - a.products);
}

/** Pairs of a field's values that are probably one value; none for numbers, dates and paths. */
export function clashesOf(index: CatalogueIndex, field: Field): Clash[] {
  if (isNumeric(field) || isNested(field)) return [];
  return findClashes(countValues(new Matcher(index, everything(index), [], {}), { field: field.key, mode: "any" }));
}

/** Looks closely at one field of a catalogue. */
export function detailField(index: CatalogueIndex, field: Field): FieldDetail {
  const tree = isNested(field);
  const facet: Facet = { field: field.key, mode: tree ? "tree" : "any" };
  const matcher = new Matcher(index, everything(index), [], {});
  const { options } = index.options(field.key, tree);
  const values = countValues(matcher, facet);
  const silent = productsWithoutValue(matcher, facet);
  const { productIds, columns } = index.catalogue;
  const numeric = isNumeric(field);
  const distribution = numeric ? describeNumbers([...index.numbers(field.key).values]) : undefined;
  return {
    values,
    singles: values.filter(({ products }) => products === 1).length,
    answers: answersTo(index, field),
    spellings: tree ? [] : spellingsOf(columns.get(field.key)?.spellings ?? [], options),
    clashes: numeric || tree ? [] : findClashes(values),
    units: numeric || tree ? undefined : findUnits(values.map(({ label }) => label)),
    numbers: distribution && {
      distribution,
      histogram: liveRange(matcher, { field: field.key, mode: "range" }, bins).histogram,
    },
    silent: silent.length,
    silentProducts: Array.from(silent.subarray(0, shownSilent), (p) => ({
      id: productIds[p] ?? "",
      title: titleOf(index.catalogue, p),
    })),
  };
}

function spellingsOf(
  spellings: readonly string[],
  options: readonly { id: string; label: string }[],
): FieldDetail["spellings"] {
  if (spellings.length === options.length) return [];
  const written = new Map<string, string[]>();
  for (const text of spellings) {
    const id = identity(text);
    written.set(id, [...(written.get(id) ?? []), text]);
  }
  return options.flatMap(({ id, label }) => {
    const ways = written.get(id) ?? [];
    return ways.length > 1 ? [{ label, written: ways }] : [];
  });
}

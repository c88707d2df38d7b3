import { everything } from "../engine/base.ts";
import type { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import type { Option } from "../engine/index/option-schema.ts";
import { Matcher } from "../engine/matcher.ts";
import type { Facet, Mode } from "../engine/question.ts";

/** The number of products for the same two options in each mode; `one` uses the first option only. */
export interface ModeExample {
  /** Labels of the two options. */
  options: [string, string];
  any: number;
  all: number;
  one: number;
}

/** Number of pairs, and number of those that no product states together. */
export interface PairCount {
  pairs: number;
  dead: number;
}

const looked = 6;

type Asked = Pick<Facet, "field" | "merges">;

/**
 * A meaningful pair of a field's frequent options: the one that most products state together, so that any-of and
 * all-of differ clearly. Undefined if there are fewer than two options.
 */
export function modeExample(index: CatalogueIndex, facet: Asked): ModeExample | undefined {
  const pairs = frequentPairs(index, facet);
  if (pairs.length === 0) return undefined;
  const { a, b, all } = pairs.reduce((best, pair) => (pair.all > best.all ? pair : best));
  const ids = [a.id, b.id];
  return {
    options: [a.label, b.label],
    any: total(index, facet, "any", ids),
    all,
    one: total(index, facet, "one", ids.slice(0, 1)),
  };
}

/** Of the pairs of a field's most frequent options, the number that no product states together. */
export function deadPairs(index: CatalogueIndex, facet: Asked): PairCount {
  const pairs = frequentPairs(index, facet);
  return { pairs: pairs.length, dead: pairs.filter(({ all }) => all === 0).length };
}

function frequentPairs(index: CatalogueIndex, facet: Asked): { a: Option; b: Option; all: number }[] {
  const { options, postings } = index.options(facet.field, false, facet.merges);
  const uses = (o: number) => (postings.starts[o + 1] ?? 0) - (postings.starts[o] ?? 0);
  const frequent = options
    .map((_, o) => o)
    .sort((a, b) => uses(b) - uses(a) || a - b)
    .slice(0, looked)
    .flatMap((o) => options[o] ?? []);
  return frequent.flatMap((a, i) =>
    frequent.slice(i + 1).map((b) => ({ a, b, all: total(index, facet, "all", [a.id, b.id]) })),
  );
}

function total(index: CatalogueIndex, { field, merges }: Asked, mode: Mode, options: string[]): number {
  return new Matcher(index, everything(index), [{ field, mode, merges }], { [field]: { options } }).productIds().length;
}

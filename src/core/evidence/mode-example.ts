import type { CatalogueIndex } from "../index/catalogue-index.ts";
import { Matcher } from "../match/matcher.ts";
import type { Facet, Mode } from "../match/selection.ts";

/** What choosing the same two options gives under each mode; `one` takes the first of them alone. */
export interface ModeExample {
  /** Labels of the two options. */
  options: [string, string];
  any: number;
  all: number;
  one: number;
}

const looked = 6;

/**
 * A telling pair of a field's frequent options: the one that most products state together, so that
 * any-of and all-of differ by numbers that mean something. Undefined when there are not two options.
 */
export function modeExample(index: CatalogueIndex, { field, merges }: Pick<Facet, "field" | "merges">): ModeExample | undefined {
  const { options, postings } = index.options(field, false, merges);
  if (options.length < 2) return undefined;
  const uses = (o: number) => postings.starts[o + 1] - postings.starts[o];
  const frequent = options
    .map((_, o) => o)
    .sort((a, b) => uses(b) - uses(a) || a - b)
    .slice(0, looked);
  const total = (mode: Mode, chosen: number[]) =>
    new Matcher(index, index.allProducts(), [{ field, mode, merges }], { [field]: { options: chosen.map((o) => options[o].id) } }).productIds()
      .length;

  let best = { a: frequent[0], b: frequent[1], all: -1 };
  for (const [i, a] of frequent.entries()) {
    for (const b of frequent.slice(i + 1)) {
      const all = total("all", [a, b]);
      if (all > best.all) best = { a, b, all };
    }
  }
  const { a, b, all } = best;
  return { options: [options[a].label, options[b].label], any: total("any", [a, b]), all, one: total("one", [a]) };
}

import type { RangeCount, TakeBack } from "./answer.ts";
import { searchedIn } from "./base.ts";
import { Matcher } from "./matcher.ts";
import type { PageCounts } from "./page-counts.ts";
import type { Facet, Selection } from "./question.ts";
import { optionsOf, without } from "./selection.ts";

/** Pairs are tried up to this number of parts, far more than a shopper chooses. */
const maxParts = 14;

/**
 * The filters to remove if nothing is found: each part of the selection without which products match, or each pair if
 * no single one helps, with the number of products, most first and otherwise in the order chosen. Standing conditions
 * are never removed.
 * @param facets those whose choices apply
 */
export function relaxations(
  { index, base: page, searching }: Pick<PageCounts, "index" | "base" | "searching">,
  facets: readonly Facet[],
  selection: Selection,
): TakeBack[] {
  const searched = searchedIn(index, page, selection.text, searching);
  const total = (parts: readonly RangeCount[]) => {
    const rest = parts.reduce(without, selection);
    const base = rest.text === "" ? page : searched;
    return new Matcher(index, base, facets, rest.choices).productIds().length;
  };
  const found = (candidates: readonly RangeCount[][]) =>
    helping(candidates.map((parts) => ({ parts, total: total(parts) })));
  const { singles, pairs } = candidatesOf(selection, facets);
  const single = smallest(found(singles));
  return single.length > 0 ? single : found(pairs);
}

/** The same where totals have to be asked for. @param total number of products without some parts of the selection */
export async function relaxationsBy(
  total: (parts: readonly RangeCount[]) => Promise<number>,
  facets: readonly Facet[],
  selection: Selection,
): Promise<TakeBack[]> {
  const found = async (candidates: readonly RangeCount[][]) =>
    helping(await Promise.all(candidates.map(async (parts) => ({ parts, total: await total(parts) }))));
  const { singles, pairs } = candidatesOf(selection, facets);
  const single = smallest(await found(singles));
  return single.length > 0 ? single : found(pairs);
}

/** The candidates for removal: each part alone, and each pair of whole choices. */
function candidatesOf(selection: Selection, facets: readonly Facet[]) {
  const parts = partsOf(selection, facets).slice(0, maxParts);
  const whole = parts.filter(({ option }) => option === undefined);
  return {
    singles: parts.map((part) => [part]),
    pairs: whole.flatMap((one, at) => whole.slice(at + 1).map((other) => [one, other])),
  };
}

const helping = (tried: readonly TakeBack[]): TakeBack[] =>
  tried.filter(({ total }) => total > 0).sort((a, b) => b.total - a.total);

/** If removing one of several all-of options helps, the whole choice need not be removed. */
function smallest(single: readonly TakeBack[]): TakeBack[] {
  const finer = (field: string | undefined) =>
    single.some(({ parts: [part] }) => part?.field === field && part?.option !== undefined);
  return single.filter(({ parts: [part] }) => part?.option !== undefined || !finer(part?.field));
}

/** The parts of a selection, in the order chosen, the words first. */
function partsOf({ choices, text }: Selection, facets: readonly Facet[]): RangeCount[] {
  const words: RangeCount[] = text.trim() === "" ? [] : [{}];
  const chosen = Object.keys(choices).flatMap((field): RangeCount[] => {
    const facet = facets.find((one) => one.field === field);
    if (!facet) return [];
    const options = optionsOf(choices[field]);
    // Removing one of several all-of options can help; one of several any-of options never does.
    const each = facet.mode === "all" && options.length > 1 ? options.map((option) => ({ field, option })) : [];
    return [...each, { field }];
  });
  return [...words, ...chosen];
}

import { distance } from "fastest-levenshtein";
import { words } from "./words.ts";

/** Maximum number of corrections suggested per unknown word, and of queries. */
export const maxSimilar = 3;
/** Maximum number of queries that are tried. */
const maxTried = 20;

/**
 * Queries like one that finds nothing, with unknown words replaced by similar ones; not all of them find something.
 * @param vocabularies the words of each searched field, sorted
 */
export function similarQueries(query: string, vocabularies: readonly (readonly string[])[]): string[] {
  const asked = words(query);
  const known = new Set(vocabularies.flat());
  const choices = asked.map((word, i) => {
    const isBeginning = i === asked.length - 1;
    const there =
      known.has(word) || (isBeginning && vocabularies.some((own) => own.some((one) => one.startsWith(word))));
    return there ? [word] : nearest(word, known);
  });
  const queries = choices.reduce<string[]>(
    (all, some) =>
      all.flatMap((text) => some.map((word) => (text === "" ? word : `${text} ${word}`))).slice(0, maxTried),
    [""],
  );
  return queries.filter((text) => text !== asked.join(" "));
}

/** Minimum word lengths for an edit distance of 0, 1, …; swapped letters count as two edits. */
const farFrom = [Number.POSITIVE_INFINITY, 3, 5];

/** Known words closest to one, by edit distance, at most one that suits the word's length. */
function nearest(word: string, known: ReadonlySet<string>): string[] {
  const most = farFrom.findLastIndex((letters) => word.length >= letters);
  if (most < 1) return [];
  return [...known]
    .filter((other) => Math.abs(other.length - word.length) <= most)
    .map((other) => ({ other, far: distance(word, other) }))
    .filter(({ far }) => far <= most)
    .sort((a, b) => a.far - b.far || Number(b.other[0] === word[0]) - Number(a.other[0] === word[0]))
    .slice(0, maxSimilar)
    .map(({ other }) => other);
}

import UFuzzy from "@leeoniya/ufuzzy";

/** One letter may be missing, other, too many or swapped in each word. */
const fuzzy = new UFuzzy({ intraMode: 1, intraIns: 1, intraSub: 1, intraTrn: 1, intraDel: 1 });
/** Words that are tried in every order, at most. */
const mostWords = 3;

/**
 * What fits some words, the best first: whole words before parts of words, near the beginning before later, and what
 * is short before what is long. The words may stand in any order and be misspelt by a letter.
 */
export function findByWords<T>(all: readonly T[], nameOf: (one: T) => string, asked: string): T[] {
  const words = asked.trim();
  if (words === "") return [...all];
  const names = all.map((one) => UFuzzy.latinize(nameOf(one)));
  const [found, info, order] = fuzzy.search(names, UFuzzy.latinize(words), mostWords);
  if (!found) return [];
  const places = info && order ? order.map((at) => info.idx[at]) : found;
  return places.flatMap((place) => {
    const one = place === undefined ? undefined : all[place];
    return one === undefined ? [] : [one];
  });
}

import UFuzzy from "@leeoniya/ufuzzy";

/** One letter per word may be missing, different, added or swapped. */
const fuzzy = new UFuzzy({ intraMode: 1, intraIns: 1, intraSub: 1, intraTrn: 1, intraDel: 1 });
/** Maximum number of words tried in every order. */
const maxWords = 3;

/**
 * Items that match a search, best first: whole words before parts of words, near the beginning before later, short
 * before long. Words may be in any order and misspelt by a letter.
 */
export function findByWords<T>(all: readonly T[], nameOf: (one: T) => string, asked: string): T[] {
  const words = asked.trim();
  if (words === "") return [...all];
  const names = all.map((one) => UFuzzy.latinize(nameOf(one)));
  const [found, info, order] = fuzzy.search(names, UFuzzy.latinize(words), maxWords);
  if (!found) return [];
  const places = info && order ? order.map((at) => info.idx[at]) : found;
  return places.flatMap((place) => {
    const one = place === undefined ? undefined : all[place];
    return one === undefined ? [] : [one];
  });
}

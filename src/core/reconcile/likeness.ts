import { distance } from "fastest-levenshtein";
import { identity } from "../catalogue/identity.ts";

/** Similarity of two spellings, from 0 to 1, ignoring case, accents, spaces and punctuation. */
export function likeness(one: string, other: string): number {
  const [a, b] = [letters(one), letters(other)];
  const longest = Math.max(a.length, b.length);
  // Names without letters are not comparable.
  return longest === 0 ? 0 : 1 - distance(a, b) / longest;
}

const letters = (text: string): string =>
  identity(text)
    .normalize("NFKD")
    .replaceAll(/[^\p{L}\p{N}]+/gu, "");

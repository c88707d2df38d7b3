import { distance } from "fastest-levenshtein";
import { identity } from "../catalogue/identity.ts";

/** How nearly two names are spelt alike, from 0 to 1; case, accents, spaces and marks between words count for nothing. */
export function likeness(one: string, other: string): number {
  const [a, b] = [letters(one), letters(other)];
  const longest = Math.max(a.length, b.length);
  // Names of marks alone say nothing of each other.
  return longest === 0 ? 0 : 1 - distance(a, b) / longest;
}

const letters = (text: string): string =>
  identity(text)
    .normalize("NFKD")
    .replaceAll(/[^\p{L}\p{N}]+/gu, "");

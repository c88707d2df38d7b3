import { distance } from "fastest-levenshtein";

/** Why two values look like one: the same but for accents, but for a plural ending, or but for a letter or two. */
export type ClashKind = "accents" | "plural" | "near miss";

/** A value as it is spelt, and the products that state it. */
interface Spelt {
  label: string;
  products: number;
}

/** Values that are probably meant to be one. */
export interface Clash {
  kind: ClashKind;
  /** The more frequent one, which the other could join, first. */
  values: [Spelt, Spelt];
}

/** Pairs of more values than this are not compared by letters; it would take too long and find chance likenesses. */
const mostCompared = 1000;

/**
 * Finds pairs of a field's values that are probably one value spelt two ways. Values that differ in case
 * or white space are one option already and do not come here. Two that differ in a digit are never one.
 */
export function findClashes(values: readonly { label: string; products: number }[]): Clash[] {
  const clashes: Clash[] = [];
  const texts = values.map(({ label }) => label.normalize("NFC").toLowerCase());
  const plain = texts.map((text) => text.normalize("NFD").replace(/\p{M}/gu, ""));
  const pair = (kind: ClashKind, a: number | undefined, b: number) => {
    const [one, other] = [values[a ?? -1], values[b]];
    if (one && other) clashes.push({ kind, values: moreFirst(one, other) });
  };

  const byPlain = groups(plain);
  for (const same of byPlain.values()) for (const other of same.slice(1)) pair("accents", same[0], other);
  for (const [text, [at]] of byPlain) {
    for (const ending of ["s", "es"]) {
      const [other] = byPlain.get(text + ending) ?? [];
      if (other !== undefined && text.length > 2) pair("plural", at, other);
    }
  }
  if (values.length > mostCompared) return clashes;
  const digits = plain.map((text) => text.replace(/\D+/g, " ").trim());
  for (let a = 0; a < plain.length; a++) {
    for (let b = a + 1; b < plain.length; b++) {
      const [one, other] = [plain[a] ?? "", plain[b] ?? ""];
      const shorter = Math.min(one.length, other.length);
      if (shorter < 5 || Math.abs(one.length - other.length) > 2 || digits[a] !== digits[b] || one === other) continue;
      if (isPlural(one, other) || isPlural(other, one)) continue;
      if (distance(one, other) <= (shorter < 9 ? 1 : 2)) pair("near miss", a, b);
    }
  }
  return clashes;
}

const moreFirst = (one: Spelt, other: Spelt): [Spelt, Spelt] =>
  other.products > one.products ? [other, one] : [one, other];

const isPlural = (one: string, many: string): boolean => many === `${one}s` || many === `${one}es`;

function groups(texts: readonly string[]): Map<string, number[]> {
  const found = new Map<string, number[]>();
  texts.forEach((text, at) => {
    const same = found.get(text);
    if (same) same.push(at);
    else found.set(text, [at]);
  });
  return found;
}

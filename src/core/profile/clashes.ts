import { distance } from "fastest-levenshtein";

/** Why two values look like one: they differ only in accents, in a plural ending, or in a letter or two. */
export type ClashKind = "accents" | "plural" | "near miss";

/** A spelling, and the number of products that state it. */
interface Spelt {
  label: string;
  products: number;
}

/** Two values that probably mean the same. */
export interface Clash {
  kind: ClashKind;
  /** The more frequent one first; the other could be merged into it. */
  values: [Spelt, Spelt];
}

/** With more values, they are not compared by letters: it would take too long and find chance similarities. */
const maxCompared = 1000;

/**
 * Finds pairs of a field's values that are probably one value in two spellings. Values that differ only in case or
 * white space are one option already. Two that differ in a digit are never the same.
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
  if (values.length > maxCompared) return clashes;
  const digits = plain.map((text) => text.replace(/\D+/g, " ").trim());
  for (let a = 0; a < plain.length; a++) {
    for (let b = a + 1; b < plain.length; b++) {
      const [one, other] = [plain[a] ?? "", plain[b] ?? ""];
      const shorter = Math.min(one.length, other.length);
      if (shorter < 3 || Math.abs(one.length - other.length) > 2 || digits[a] !== digits[b] || one === other) continue;
      if (isPlural(one, other) || isPlural(other, one)) continue;
      const near = shorter >= 5 && distance(one, other) <= (shorter < 9 ? 1 : 2);
      // A short word is often one letter from another real one; a rare one that looks like a typing error is reported
      // anyway.
      if (near || (isRare(values[a], values[b]) && isSlip(one, other))) pair("near miss", a, b);
    }
  }
  return clashes;
}

/** Minimum ratio of products between the right and the wrong spelling. Common practice, no source. */
const timesRarer = 8;

/** Whether one of two values is so much rarer that it may be a typing error. */
const isRare = (one: Spelt | undefined, other: Spelt | undefined): boolean =>
  one !== undefined &&
  other !== undefined &&
  Math.max(one.products, other.products) >= timesRarer * Math.min(one.products, other.products);

/**
 * Whether two words differ by one omitted, added or doubled letter, or by two swapped ones. The first letter is hardly
 * ever wrong.
 */
function isSlip(one: string, other: string): boolean {
  if (one.charAt(0) !== other.charAt(0)) return false;
  const [short, long] = one.length < other.length ? [one, other] : [other, one];
  for (let at = 1; at < long.length; at++) {
    const left = long.slice(0, at) + long.slice(at + 1);
    if (long.length === short.length + 1 && left === short && short.length >= 4) return true;
    const swapped = long.slice(0, at) + long.charAt(at + 1) + long.charAt(at) + long.slice(at + 2);
    if (long.length === short.length && long.length >= 4 && swapped === short) return true;
  }
  return false;
}

/** Whether two texts differ in one word only, long enough not to be an abbreviation. Texts with digits are codes. */
function isOneWordOff(one: string, other: string): boolean {
  if (/\d/.test(one + other)) return false;
  const [a, b] = [one, other].map((text) => text.toLowerCase().split(/[^\p{L}\p{M}]+/u));
  if (!a || !b || a.length !== b.length) return a?.join("") === b?.join("");
  const off = a.flatMap((word, at) => (word === b[at] ? [] : [[word, b[at] ?? ""] as const]));
  const [first] = off;
  return off.length === 1 && first !== undefined && Math.min(first[0].length, first[1].length) >= 4;
}

/** Pairs in which the rarer one is probably a misspelling of the other: similar, and on hardly any product. */
export const likelyMisspelt = (values: readonly Spelt[]): [right: Spelt, wrong: Spelt][] =>
  findClashes(values)
    .filter(
      ({ kind, values: [one, other] }) =>
        kind === "near miss" && isRare(one, other) && isOneWordOff(one.label, other.label),
    )
    .map(({ values: pair }) => pair);

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

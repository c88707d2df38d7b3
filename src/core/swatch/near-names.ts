import { distance } from "fastest-levenshtein";
import { colourNames, type NamedColour } from "./colour-names.ts";

/** Minimum confidence of names offered for another spelling. */
const minConfidence = 0.9;

interface NearNames {
  /** Names by themselves and by each form without one letter. */
  parts: ReadonlyMap<string, readonly NearName[]>;
  /** Letters of the longest. */
  longest: number;
}

let index: NearNames | undefined;

interface NearName {
  key: string;
  colour: NamedColour;
  /** Index of the name; the first match counts. */
  place: number;
}

/** A word and its forms without one letter. */
function* withoutOne(word: string): Generator<string> {
  yield word;
  for (let at = 0; at < word.length; at++) yield word.slice(0, at) + word.slice(at + 1);
}

function nearNames(): NearNames {
  if (index) return index;
  let longest = 0;
  const made = new Map<string, NearName[]>();
  let place = 0;
  for (const [key, colour] of colourNames()) {
    place++;
    if (colour.confidence < minConfidence) continue;
    longest = Math.max(longest, key.length);
    const name = { key, colour, place };
    for (const part of new Set(withoutOne(key))) {
      const there = made.get(part);
      if (there) there.push(name);
      else made.set(part, [name]);
    }
  }
  index = { parts: made, longest };
  return index;
}

/**
 * The first confident name that differs from a key by one letter added, left out or replaced. Two such words share a
 * form with at most one letter removed, so only those are compared. Source: symmetric delete spelling correction,
 * common practice.
 */
export function nearName(key: string): NamedColour | undefined {
  const { parts, longest } = nearNames();
  if (key.length > longest + 1) return undefined;
  let nearest: NearName | undefined;
  for (const part of withoutOne(key))
    for (const one of parts.get(part) ?? [])
      if ((nearest === undefined || one.place < nearest.place) && distance(one.key, key) === 1) nearest = one;
  return nearest?.colour;
}

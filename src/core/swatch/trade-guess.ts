import { formatHex, interpolate, type Oklch, oklch } from "culori";
import { connectives, hues, modifiers, things } from "./trade-words.ts";

/** The meaning of trade words: a base colour and its modifiers, in order. */
export interface TradeGuess {
  hex: string;
  /** Names of modifiers defined in `name-guess`. */
  modifiers: string[];
  /** The recognised words, for the reason. */
  said: string;
  /** Whether a plain colour is named, not only a thing. */
  isHue: boolean;
}

/** A word for lookup, without case, accents and ß. */
export const folded = (text: string): string =>
  text.normalize("NFD").replace(/\p{M}/gu, "").toLowerCase().replaceAll("ß", "ss");

interface Understood {
  hue?: string;
  thing?: string;
  modifiers: string[];
}

/** Linking letters in German and Dutch compounds. */
const joints = ["", "s", "n", "en", "e", "er", "-"];
const shortestPart = 2;

/**
 * Recognises trade words for colours in six languages: a thing (`Senf`), a plain colour (`verde`), a thing or
 * modifiers beside a plain colour (`vert bouteille`, `gris clair`), and compounds (`Moosgrün`, `donkerblauw`).
 * @returns undefined if any word is unknown
 */
export function tradeGuess(name: string): TradeGuess | undefined {
  const words = folded(name)
    .split(/[\s'’,-]+/)
    .filter((word) => word !== "" && !connectives.has(word));
  if (words.length === 0 || words.length > 4) return undefined;
  const whole = things.get(words.join(""));
  if (whole) return { hex: whole, modifiers: [], said: name, isHue: false };
  const understood: Understood = { modifiers: [] };
  for (const word of words) {
    const one = wordOf(word);
    if (!one) return undefined;
    understood.modifiers.push(...one.modifiers);
    // Of two things the first counts; two plain colours are mixed.
    if (one.thing && !understood.thing) understood.thing = one.thing;
    if (one.hue) understood.hue = understood.hue ? between(understood.hue, one.hue) : one.hue;
  }
  const hex = baseOf(understood);
  return hex === undefined
    ? undefined
    : { hex, modifiers: understood.modifiers, said: name, isHue: understood.hue !== undefined };
}

function wordOf(word: string): Understood | undefined {
  const [hue, thing, modifier] = [hues.get(word), things.get(word), modifiers.get(word)];
  // A word that is both, such as “lila” or “rosa”, counts as the plain colour.
  if (hue) return { hue, modifiers: [] };
  if (modifier) return { modifiers: [modifier] };
  if (thing) return { thing, modifiers: [] };
  return compound(word);
}

/** A compound whose last part is a plain colour or a thing, and whose first is a thing or a modifier. */
function compound(word: string): Understood | undefined {
  for (let at = shortestPart; at <= word.length - shortestPart; at++) {
    const last = word.slice(at);
    const [hue, thing] = [hues.get(last), things.get(last)];
    if (!hue && !thing) continue;
    const first = partBefore(word.slice(0, at));
    if (!first) continue;
    // “Blauwgrijs” is a mixture of the two.
    if (hue && first.hue) return { hue: between(first.hue, hue), modifiers: [] };
    return { ...(hue ? { hue } : { thing: thing as string }), ...first };
  }
  return undefined;
}

function partBefore(text: string): Understood | undefined {
  for (const joint of joints) {
    if (!text.endsWith(joint)) continue;
    const part = joint === "" ? text : text.slice(0, -joint.length);
    if (part.length < shortestPart) continue;
    const [hue, modifier, thing] = [hues.get(part), modifiers.get(part), things.get(part)];
    if (modifier) return { modifiers: [modifier] };
    if (thing) return { thing, modifiers: [] };
    if (hue && joint === "") return { hue, modifiers: [] };
  }
  return undefined;
}

/** A mixture of a thing's colour and the plain colour named with it. */
function baseOf({ hue, thing }: Understood): string | undefined {
  if (!hue || !thing) return thing ?? hue;
  const [a, b] = [oklch(thing) as Oklch, oklch(hue) as Oklch];
  // “Ivory black” is black, “slate green” green; but “cream white” is cream and “anthracite grey” anthracite.
  if (b.l < black) return hue;
  if (b.c < gray) return thing;
  if (a.c < gray) return hue;
  const apart = Math.abs((((a.h ?? 0) - (b.h ?? 0) + 540) % 360) - 180);
  return a.c > coloured && apart > otherHue ? hue : thing;
}

/**
 * In OKLCH: lightness below which a colour is black, chroma below which it is grey and above which its hue matters,
 * and degrees from which hues differ. Common practice, no source.
 */
const black = 0.2;
const gray = 0.02;
const coloured = 0.05;
const otherHue = 75;

const between = (one: string, other: string): string => formatHex(interpolate([one, other], "oklab")(0.5));

/** The plain colour at the end of a compound, whatever precedes it. */
export function trailingHue(word: string): { hex: string; word: string } | undefined {
  const text = folded(word);
  for (let at = shortestPart; at <= text.length - shortestPart - 1; at++) {
    const hex = hues.get(text.slice(at));
    if (hex) return { hex, word: text.slice(at) };
  }
  return undefined;
}

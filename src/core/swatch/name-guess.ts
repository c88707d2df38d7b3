import { clampChroma, formatHex, interpolate, type Oklch, oklch } from "culori";
import { spelling } from "../catalogue/identity.ts";
import { colourNames, type NamedColour, nameKey, standardConfidence } from "./colour-names.ts";
import { nearName } from "./near-names.ts";
import { parting } from "./plain-names.ts";
import { tradeGuess, trailingHue } from "./trade-guess.ts";

/** The guess from a value's name: its colour, the reason, and its confidence, from 0 to 1. */
export interface NameGuess {
  colours: string[];
  confidence: number;
  reason: string;
}

const filler = new Set([
  "pure",
  "true",
  "real",
  "mixed",
  "flower",
  "flowers",
  "colour",
  "color",
  "matt",
  "matte",
  "satin",
  "metallic",
  "gloss",
  "heather",
]);

/**
 * The effect of a modifier on lightness and chroma in OKLCH, as factors, and the lightness it tends towards. Common
 * practice, no source.
 */
interface Shift {
  lightness?: (l: number) => number;
  chroma?: number;
}
const toward = (goal: number, part: number) => (l: number) => l + (goal - l) * part;
const shifts: Record<string, Shift> = {
  dark: { lightness: (l) => l * 0.7, chroma: 0.85 },
  deep: { lightness: (l) => l * 0.8, chroma: 1 },
  darker: { lightness: (l) => l * 0.65 },
  dunkel: { lightness: (l) => l * 0.7, chroma: 0.85 },
  blackish: { lightness: (l) => l * 0.45, chroma: 0.4 },
  light: { lightness: toward(1, 0.45), chroma: 0.65 },
  hell: { lightness: toward(1, 0.45), chroma: 0.65 },
  lighter: { lightness: toward(1, 0.55), chroma: 0.6 },
  pale: { lightness: toward(0.95, 0.65), chroma: 0.4 },
  whitish: { lightness: toward(0.97, 0.8), chroma: 0.2 },
  soft: { lightness: toward(0.9, 0.4), chroma: 0.6 },
  pastel: { lightness: toward(0.9, 0.6), chroma: 0.5 },
  baby: { lightness: toward(0.9, 0.6), chroma: 0.5 },
  dusty: { lightness: toward(0.65, 0.35), chroma: 0.45 },
  muted: { lightness: toward(0.6, 0.3), chroma: 0.5 },
  grayish: { lightness: toward(0.6, 0.35), chroma: 0.35 },
  smoky: { lightness: toward(0.5, 0.35), chroma: 0.4 },
  moderate: { lightness: toward(0.6, 0.3), chroma: 0.65 },
  medium: { chroma: 0.9 },
  mid: { chroma: 0.9 },
  strong: { chroma: 0.85 },
  bright: { lightness: toward(0.8, 0.2), chroma: 1.15 },
  brilliant: { lightness: toward(0.8, 0.45), chroma: 0.9 },
  vivid: { chroma: 1.1 },
  neon: { lightness: toward(0.85, 0.4), chroma: 1.3 },
  hot: { chroma: 1.25 },
  warm: { chroma: 1 },
  cool: { chroma: 1 },
  off: { lightness: toward(0.96, 0.6), chroma: 1 },
  marl: { lightness: toward(0.72, 0.4), chroma: 0.7 },
  wash: { lightness: toward(0.7, 0.4), chroma: 0.6 },
  burnt: { lightness: (l) => l * 0.82, chroma: 1 },
};

/** Guesses the colours of a value from its name; undefined if the name suggests none. */
export function guessByName(name: string): NameGuess | undefined {
  const parts = spelling(name).split(parting).filter(Boolean).slice(0, 4);
  const guesses = parts.map(onePart);
  if (guesses.length === 0 || guesses.some((guess) => guess === undefined)) return undefined;
  const sure = guesses as Single[];
  return {
    colours: sure.map(({ hex }) => hex),
    confidence: Math.min(...sure.map(({ confidence }) => confidence)) * (sure.length > 1 ? 0.95 : 1),
    reason: [...new Set(sure.map(({ reason }) => reason))].join("; "),
  };
}

interface Single {
  hex: string;
  confidence: number;
  reason: string;
}

const found = ({ hex, confidence, name, list }: NamedColour): Single => ({
  hex,
  confidence,
  reason: `“${name}” is ${article(list)}`,
});
const article = (list: string): string => (/^a /.test(list) ? list : `a name in ${list}`);

function onePart(text: string): Single | undefined {
  const words = text
    .toLowerCase()
    .replaceAll("grey", "gray")
    .split(/[\s-]+/)
    .filter((word) => word !== "" && !filler.has(word));
  if (words.length === 0) return undefined;
  const names = colourNames();
  const whole = names.get(nameKey(words.join("")));
  // A standard name is used as defined, unless the trade uses it for something else.
  if (whole && whole.confidence === standardConfidence && !otherwise.has(whole.name.toLowerCase())) return found(whole);
  const traded = byTrade(text);
  if (traded) return traded;
  // A fancy name made of plain words counts less than the words themselves.
  if (whole && whole.confidence > 0.6) return found(whole);
  return modified(words) ?? (whole && found(whole)) ?? likeSpelling(words) ?? family(words);
}

/** CSS names that shops use for another colour: CSS has a pale plum, a chocolate of orange and a navy of pure blue. Common practice, no source. */
export const otherwise: ReadonlySet<string> = new Set([
  "plum",
  "khaki",
  "violet",
  "chocolate",
  "gold",
  "tan",
  "lavender",
  "navy",
]);

/** The guess from trade words in any of six languages. */
function byTrade(text: string): Single | undefined {
  const guess = tradeGuess(text);
  if (!guess) return undefined;
  const hex = guess.modifiers.reduce((colour, name) => shifted(colour, shifts[name] ?? {}), guess.hex);
  return {
    hex,
    confidence: guess.modifiers.length > 0 ? 0.85 : 0.9,
    reason: `“${guess.said}” by common colour names of the trade`,
  };
}

/** “Dark slate blue” is slate blue made darker; “yellowish brown” is brown mixed with some yellow. */
function modified(words: readonly string[]): Single | undefined {
  if (words.length < 2) return undefined;
  const [first = "", ...rest] = words;
  // “Very dark” is dark twice over.
  if (first === "very") {
    const once = modified(rest);
    const again = Object.hasOwn(shifts, rest[0] ?? "") ? shifts[rest[0] ?? ""] : undefined;
    return once && again
      ? { ...once, hex: shifted(once.hex, again), reason: `“very” ${once.reason}` }
      : (once ?? plain(rest));
  }
  const shift = Object.hasOwn(shifts, first) ? shifts[first] : undefined;
  const tint = shift ? undefined : tintOf(first);
  if (!shift && !tint) return undefined;
  const base = plain(rest) ?? modified(rest);
  if (!base) return undefined;
  const hex = shift ? shifted(base.hex, shift) : mixed(base.hex, tint as string);
  return { hex, confidence: base.confidence * 0.85, reason: `“${first}” of ${base.reason}` };
}

/** A standard name of several words, or a single word. */
function plain(words: readonly string[]): Single | undefined {
  const named = colourNames().get(nameKey(words.join("")));
  return named && named.confidence > 0.6 ? found(named) : undefined;
}

/** The colour in “reddish” or “bluish”. */
function tintOf(word: string): string | undefined {
  const stem = /^(.+?)(?:ish|y)$/.exec(word)?.[1];
  if (!stem) return undefined;
  const names = colourNames();
  const tries = [stem, stem.replace(/(.)\1$/, "$1"), `${stem}e`, stem.replace(/l$/, "le")];
  const base = tries.map((one) => names.get(one)).find((one) => one && one.confidence > 0.85);
  return base?.hex;
}

/** One letter added, left out or replaced: only for long words and confident names. */
function likeSpelling(words: readonly string[]): Single | undefined {
  const key = nameKey(words.join(""));
  const near = key.length < 5 ? undefined : nearName(key);
  return near && { hex: near.hex, confidence: 0.5, reason: `spelt like “${near.name}”` };
}

/** “Flame red” is a kind of red: the last word names the family, in some languages the first. */
function family(words: readonly string[]): Single | undefined {
  if (words.length < 2) {
    // “Mohnrot” is a kind of red, whatever the rest means.
    const hue = trailingHue(words[0] ?? "");
    return hue && { hex: hue.hex, confidence: 0.45, reason: `some ${hue.word}` };
  }
  const last = plain(words.slice(-1)) ?? modified(words.slice(1));
  if (last) return { ...last, confidence: last.confidence * 0.5, reason: `some ${words[words.length - 1]}` };
  const first = plain(words.slice(0, 1));
  return first && { ...first, confidence: first.confidence * 0.4, reason: `some ${words[0]}` };
}

function shifted(hex: string, { lightness = (l) => l, chroma = 1 }: Shift): string {
  const colour = oklch(hex) as Oklch;
  return formatHex(
    clampChroma({ ...colour, l: Math.max(0, Math.min(1, lightness(colour.l))), c: colour.c * chroma }, "oklch"),
  );
}

const mixed = (hex: string, tint: string): string => formatHex(interpolate([hex, tint], "oklab")(0.3));

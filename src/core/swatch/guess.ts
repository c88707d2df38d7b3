import { colorsNamed, formatHex, parse } from "culori";
import { spelling } from "../catalogue/identity.ts";

const filler = new Set(["with", "pure", "bright", "soft", "mixed", "flower", "flowers"]);
const parting = /\s*(?:\/|&|\+|,|\band\b|\bwith\b)\s*/i;
/** Names that shops use and the CSS list lacks; values are CSS colours. Common practice, no source. */
export const tradeColours: Record<string, string> = {
  cream: "#f6ecd2",
  burgundy: "#6d1a33",
  apricot: "#f7b27a",
  lilac: "#c5a3d9",
  mauve: "#b784a7",
  terracotta: "#c4623f",
  charcoal: "#3d4145",
  mustard: "#d3a625",
  rose: "#e0627f",
  sage: "#9cab86",
  rust: "#a8482a",
  slate: "#5b6770",
  stone: "#c2b8a3",
  natural: "#d9c9a8",
  copper: "#b06a3b",
  grey: "#808080",
};

/**
 * Colours that a value's name speaks of, at most four, as `#rrggbb`; undefined when it names none.
 * Names are the CSS Color Module Level 4 list and a few of the trade; `Sea green / white` gives two.
 */
export function guessColour(name: string): string[] | undefined {
  const parts = spelling(name).toLowerCase().split(parting).filter(Boolean).slice(0, 4);
  const colours = parts.map(oneColour);
  if (colours.length === 0 || colours.some((colour) => colour === undefined)) return undefined;
  return colours as string[];
}

function oneColour(text: string): string | undefined {
  const words = text.split(/[\s-]+/).filter((word) => !filler.has(word));
  const joined = words.join("");
  if (joined === "") return undefined;
  const known = named(tradeColours, joined) ?? (named(colorsNamed, joined) !== undefined ? formatHex(parse(joined)) : undefined);
  if (known) return known;
  // “Flame red” is some red: the last word names the family.
  return words.length > 1 ? oneColour(words[words.length - 1]) : undefined;
}

/** A list's own entry; a word like “constructor” is in every object and names nothing. */
const named = <T>(list: Record<string, T>, word: string): T | undefined => (Object.hasOwn(list, word) ? list[word] : undefined);

import { colorsNamed } from "culori";
import { spelling } from "../catalogue/identity.ts";
import { tradeGuess } from "./trade-guess.ts";

/** Names used by shops that the CSS list lacks, with their CSS colours. Common practice, no source. */
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

/** Separators between the colours of a multicolour name. */
export const parting = / ?(?:\/|&|\+|,|;|\bund\b|\band\b|\bwith\b|\bet\b|\by\b|\ben\b|\bmit\b) ?/i;

/** Share of values that must name a plain colour, so that things such as oak or mustard beside them count as colours too. */
const minPlain = 1 / 3;

/**
 * How many of a field's values name colours, in six languages. Without the long lists, to detect colour fields;
 * {@link guessByName} finds the actual colours.
 */
export function countColours(values: readonly string[]): number {
  const plain = values.filter(namesColour).length;
  return plain < values.length * minPlain ? plain : values.filter((value) => namesAll(value, isColour)).length;
}

/** Whether a name consists of plain colours: of the CSS list or the trade, alone or at the end, or of another language. */
export const namesColour = (name: string): boolean =>
  namesAll(name, (part) => isPlain(part) || tradeGuess(part)?.isHue === true);

const isColour = (part: string): boolean => isPlain(part) || tradeGuess(part) !== undefined;

function namesAll(name: string, test: (part: string) => boolean): boolean {
  const parts = spelling(name).toLowerCase().split(parting).filter(Boolean);
  return parts.length > 0 && parts.every(test);
}

function isPlain(text: string): boolean {
  const words = text.split(/[\s-]+/);
  return words.some((_, from) => {
    const name = words.slice(from).join("");
    return Object.hasOwn(tradeColours, name) || Object.hasOwn(colorsNamed, name);
  });
}

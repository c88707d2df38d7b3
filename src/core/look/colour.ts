import { clampChroma, differenceEuclidean, formatHex, formatHex8, oklch, parse } from "culori";
import { contrast } from "../swatch/measure.ts";

const byte = (hex: string, at: number): number => Number.parseInt(hex.slice(at, at + 2), 16);
const two = (value: number): string => Math.round(value).toString(16).padStart(2, "0");

/** Opacity of a colour, from 0 to 1. */
export const alphaOf = (hex: string): number => (hex.length === 9 ? byte(hex, 7) / 255 : 1);

/**
 * A CSS colour in the notation of looks: `#rrggbb`, or `#rrggbbaa` if not opaque.
 * @returns undefined if it isn't a colour
 */
export function hexOf(text: string): string | undefined {
  const colour = parse(text);
  return colour && ((colour.alpha ?? 1) < 1 ? formatHex8(colour) : formatHex(colour));
}

/** The visible colour of one colour over another. Source: simple alpha compositing, CSS Color Module Level 4. */
export function over(top: string, under: string): string {
  const alpha = alphaOf(top);
  if (alpha === 1) return top.slice(0, 7);
  return `#${[1, 3, 5].map((at) => two(byte(top, at) * alpha + byte(under, at) * (1 - alpha))).join("")}`;
}

const distance = differenceEuclidean("oklch");

/**
 * The nearest colour of the same hue with sufficient contrast to some backgrounds: lighter or darker, and less
 * saturated only if the screen has no such colour.
 * @returns undefined if there is none, between a light and a dark background
 */
export function nearestPassing(colour: string, grounds: readonly string[], needed: number): string | undefined {
  const start = oklch(colour.slice(0, 7));
  if (!start) return undefined;
  const at = (l: number): string => formatHex(clampChroma({ ...start, l }, "oklch"));
  const passes = (hex: string) => grounds.every((ground) => contrast(hex, ground) >= needed);
  if (passes(colour.slice(0, 7))) return colour.slice(0, 7);
  const found = [0, 1].flatMap((end) => {
    if (!passes(at(end))) return [];
    // Contrast increases towards this end, so that a binary search finds the first passing colour.
    let [fails, good] = [start.l, end];
    for (let n = 0; n < 24; n++) {
      const middle = (fails + good) / 2;
      if (passes(at(middle))) good = middle;
      else fails = middle;
    }
    return [at(good)];
  });
  return found.sort((a, b) => distance(colour.slice(0, 7), a) - distance(colour.slice(0, 7), b))[0];
}

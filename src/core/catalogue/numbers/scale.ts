import { roundEnds, roundStep, tidy } from "./ticks.ts";

/** Approximate number of stops between the ends. */
const stops = 100;

/** A range's scale: the true ends of its products, and where the scale starts, ends and steps. */
export interface Ends {
  least: number;
  most: number;
  min: number;
  max: number;
  step: number;
}

/** The inputs of a scale. */
export interface ScaleWishes {
  /** The smallest and largest value that occurs. */
  least: number;
  most: number;
  /** Ends typed by the designer; null uses the values' own end. */
  typed?: { min: number | null; max: number | null };
  /** Equal distances are about equal ratios. */
  bent: boolean;
  /** Distance between stops; 0 for a round one. */
  step: number;
  /** Days are not rounded. */
  days: boolean;
}

/** Where a range's scale begins and stops. */
export function scaleEnds({ least, most, typed, bent, step: wanted, days }: ScaleWishes): Ends {
  const [from, to] = typed ? [typed.min ?? least, typed.max ?? most] : [least, most];
  const given = { least, most, min: Math.min(from, to), max: Math.max(from, to) };
  if (days) return { ...given, step: wanted || 1 };
  const step = wanted || roundStep(given.max - given.min || 1, stops) || 1;
  if (typed) return { ...given, step };
  // On a logarithmic-like scale, rounding down to 0 would waste most of its length.
  if (bent && from > 0)
    return { ...given, min: tidy(floorTo(from, roundBelow(from))), max: roundEnds(0, to, roundBelow(to)).max, step };
  const ends = roundEnds(from, to, step);
  // An end just below 0 would be rounded to a number that nothing comes near to.
  if (from < 0 && ends.min < 2 * from)
    ends.min = -tidy(Math.ceil(-from / roundBelow(-from) - 1e-9) * roundBelow(-from));
  return { ...given, ...ends, step };
}

/** Maps values to positions on a track of length 1, and lists where its handles stop. */
export interface Scale {
  share(value: number): number;
  /** Values at which a handle stops, in ascending order; undefined if the steps are equal. */
  stops: readonly number[] | undefined;
}

/**
 * A linear scale, or a logarithmic-like one with evenly spaced stops at round numbers, each a twentieth to a tenth
 * larger than the last.
 */
export function scaleOf({ min, max, step }: Ends, bent: boolean): Scale {
  const span = max - min || 1;
  const isUneven = min < 0 && -min < step && max > step && max / step <= maxStops;
  const list = bent && max > min ? bentStops(min, max, step) : isUneven ? evenStops(min, max, step) : [];
  if (list.length < 3) return { share: (value) => (value - min) / span, stops: undefined };
  return { share: (value) => placeIn(list, value) / (list.length - 1), stops: list };
}

/** Stops at whole steps, and at a first end that is none. */
const evenStops = (min: number, max: number, step: number): number[] => [
  min,
  ...Array.from({ length: Math.ceil(max / step) }, (_, at) => tidy(at * step)),
  max,
];

/** The fractional index of a value among ascending stops. */
export function placeIn(list: readonly number[], value: number): number {
  const at = list.findIndex((stop) => stop >= value);
  const [here, before] = [list[at], list[at - 1]];
  if (here === undefined) return list.length - 1;
  return before === undefined ? 0 : at - (here - value) / (here - before);
}

/**
 * Maximum number of stops on a logarithmic-like scale; with more, a linear one is used. A factor of 10 takes about 27.
 */
const maxStops = 600;

/** Stops between two ends, mirrored below 0. None if there would be too many. */
function bentStops(min: number, max: number, step: number): number[] {
  if (min >= 0) return stopsAbove(min, max, step);
  const below = stopsAbove(Math.max(0, -max), -min, step)
    .map((stop) => -stop || 0)
    .reverse();
  if (max <= 0 || below.length === 0) return below;
  const above = stopsAbove(0, max, step);
  return above.length === 0 || below.length + above.length > maxStops ? [] : [...below, ...above.slice(1)];
}

function stopsAbove(min: number, max: number, step: number): number[] {
  const list = [min];
  let value = min > 0 ? min : Math.min(step, max);
  if (value > min) list.push(value);
  for (let i = 0; value < max && i < maxStops; i++) {
    const by = roundBelow(value);
    value = tidy(floorTo(value, by) + by);
    if (value < max) list.push(value);
  }
  if (value < max) return [];
  list.push(max);
  return list;
}

/** A round step between a twentieth and a tenth of a value. */
function roundBelow(value: number): number {
  const power = 10 ** Math.floor(Math.log10(value));
  const lead = value / power;
  return (lead < 2 ? 0.1 : lead < 5 ? 0.2 : 0.5) * power;
}

const floorTo = (value: number, step: number): number => Math.floor(value / step + 1e-9) * step;

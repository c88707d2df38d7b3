import { roundEnds, roundStep, tidy } from "./ticks.ts";

/** About how many stops there are between the ends. */
const stops = 100;

/** A range's scale: the true ends of its products, and where the scale begins, stops and steps. */
export interface Ends {
  least: number;
  most: number;
  min: number;
  max: number;
  step: number;
}

/** The inputs of a scale. */
export interface ScaleWishes {
  /** The smallest and the largest value that there is. */
  least: number;
  most: number;
  /** Ends that the designer has typed; the values' own where one is null. */
  typed?: { min: number | null; max: number | null };
  /** Equal lengths are about equal ratios. */
  bent: boolean;
  /** From stop to stop; 0 for a round one. */
  step: number;
  /** Days have no rounder ends than themselves. */
  days: boolean;
}

/** Where a range's scale begins and stops. */
export function scaleEnds({ least, most, typed, bent, step: wanted, days }: ScaleWishes): Ends {
  const [from, to] = typed ? [typed.min ?? least, typed.max ?? most] : [least, most];
  const given = { least, most, min: Math.min(from, to), max: Math.max(from, to) };
  if (days) return { ...given, step: wanted || 1 };
  const step = wanted || roundStep(given.max - given.min || 1, stops) || 1;
  if (typed) return { ...given, step };
  // On a bent scale a round 0 in front of the least value would take most of its length.
  if (bent && from > 0)
    return { ...given, min: tidy(floorTo(from, roundBelow(from))), max: roundEnds(0, to, roundBelow(to)).max, step };
  return { ...given, ...roundEnds(from, to, step), step };
}

/** How values lie along a track of length 1, and where its handles stop. */
export interface Scale {
  share(value: number): number;
  /** Values that a handle stops at, from one end to the other; undefined for every step alike. */
  stops: readonly number[] | undefined;
}

/**
 * An even scale, or a bent one, on which stops stand equally far apart that are round numbers a twentieth
 * to a tenth larger each: equal lengths are about equal ratios.
 */
export function scaleOf({ min, max, step }: Ends, bent: boolean): Scale {
  const span = max - min || 1;
  const list = bent && max > min ? bentStops(min, max, step) : [];
  if (list.length < 3) return { share: (value) => (value - min) / span, stops: undefined };
  return { share: (value) => placeIn(list, value) / (list.length - 1), stops: list };
}

/** The place of a value among rising stops, between two of them where it lies between. */
export function placeIn(list: readonly number[], value: number): number {
  const at = list.findIndex((stop) => stop >= value);
  const [here, before] = [list[at], list[at - 1]];
  if (here === undefined) return list.length - 1;
  return before === undefined ? 0 : at - (here - value) / (here - before);
}

/** Stops on a bent scale; beyond so many it is drawn even. A factor of 10 takes about 27 of them. */
const mostStops = 600;

/** Stops from end to end; below 0 they are as above it, mirrored. None where there would be too many. */
function bentStops(min: number, max: number, step: number): number[] {
  if (min >= 0) return stopsAbove(min, max, step);
  const below = stopsAbove(Math.max(0, -max), -min, step)
    .map((stop) => -stop || 0)
    .reverse();
  if (max <= 0 || below.length === 0) return below;
  const above = stopsAbove(0, max, step);
  return above.length === 0 ? [] : [...below, ...above.slice(1)];
}

function stopsAbove(min: number, max: number, step: number): number[] {
  const list = [min];
  let value = min > 0 ? min : Math.min(step, max);
  if (value > min) list.push(value);
  for (let i = 0; value < max && i < mostStops; i++) {
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

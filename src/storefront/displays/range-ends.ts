import { roundEnds, roundStep } from "../../core/evidence/ticks.ts";
import type { DisplayProps } from "./display.ts";

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

/** Where a range's scale begins and stops, as its settings have it; undefined when no product states the field. */
export function endsOf({ range, settings, field }: Pick<DisplayProps, "range" | "settings" | "field">): Ends | undefined {
  const { min: least, max: most } = (settings.ends === "live" && range?.live.min !== null ? range?.live : range?.steady) ?? { min: null, max: null };
  if (least === null || most === null) return undefined;
  const typed = settings.ends === "typed";
  const [from, to] = [typed ? (settings.least ?? least) : least, typed ? (settings.most ?? most) : most];
  const given = { min: Math.min(from, to), max: Math.max(from, to) };
  if (field.kind === "date") return { least, most, ...given, step: settings.step || 1 };
  const step = settings.step || roundStep(to - from || 1, stops);
  if (typed) return { least, most, ...given, step };
  // On a bent scale a round 0 in front of the least value would take most of its length.
  if (settings.scale === "bent" && from > 0)
    return { least, most, min: tidy(floorTo(from, roundBelow(from))), max: roundEnds(0, to, roundBelow(to)).max, step };
  return { least, most, ...roundEnds(from, to, step), step };
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
  if (at < 0) return list.length - 1;
  if (at === 0) return 0;
  return at - (list[at] - value) / (list[at] - list[at - 1]);
}

function bentStops(min: number, max: number, step: number): number[] {
  const list = [min];
  let value = min > 0 ? min : Math.min(step, max);
  if (value > min) list.push(value);
  while (value < max) {
    const by = roundBelow(value);
    value = tidy(floorTo(value, by) + by);
    if (value < max) list.push(value);
  }
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
const tidy = (value: number): number => Number(value.toPrecision(12));

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
  if (field.kind === "date") return { least, most, min: Math.min(from, to), max: Math.max(from, to), step: settings.step || 1 };
  const step = settings.step || roundStep(to - from || 1, stops);
  const ends = typed ? { min: Math.min(from, to), max: Math.max(from, to) } : roundEnds(from, to, step);
  return { least, most, ...ends, step };
}

/** How values lie along a track of length 1. A bent scale gives equal lengths to equal ratios; it needs values above 0. */
export interface Scale {
  share(value: number): number;
  value(share: number): number;
}

export function scaleOf({ min, max, step }: Ends, bent: boolean): Scale {
  const span = max - min || 1;
  // From just below 0 the logarithm is taken of the distance to the beginning, one step being its smallest.
  const shift = min > 0 ? 0 : step - min;
  const [low, high] = [Math.log(min + shift), Math.log(max + shift)];
  const round = (value: number) => Math.max(min, Math.min(max, Number((min + Math.round((value - min) / step) * step).toPrecision(12))));
  if (!bent || !(high > low)) return { share: (value) => (value - min) / span, value: (share) => round(min + share * span) };
  return {
    share: (value) => (Math.log(Math.max(value, min) + shift) - low) / (high - low),
    value: (share) => (share <= 0 ? min : share >= 1 ? max : tidy(Math.exp(low + share * (high - low)) - shift, min, max)),
  };
}

/** A number of two digits that matter, so that a bent scale stops at numbers that can be read. */
const tidy = (value: number, min: number, max: number): number => Math.max(min, Math.min(max, Number(value.toPrecision(2))));

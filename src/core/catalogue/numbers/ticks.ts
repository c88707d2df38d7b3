import { tickStep } from "d3-array";

/**
 * A step of 1, 2 or 5 × 10^n that divides a span into about the given number of parts, from the ticks of d3-array.
 * @returns 0 if the span is too small or too large
 */
export function roundStep(span: number, parts: number): number {
  const step = tickStep(0, span, Math.max(1, parts));
  return Number.isFinite(step) && step > 0 && span + step > span ? tidy(step) : 0;
}

/** Moves ends outwards to whole steps, so that a scale starts and ends at round numbers; a step of 0 moves nothing. */
export function roundEnds(min: number, max: number, step: number): { min: number; max: number } {
  if (!(step > 0)) return { min, max };
  return { min: tidy(Math.floor(min / step) * step), max: tidy(Math.ceil(max / step) * step) };
}

/** A number without the rounding error of additions. */
export const tidy = (value: number): number => Number(value.toPrecision(12));

import { tickStep } from "d3-array";

/**
 * A step of 1, 2 or 5 × 10^n that parts a span into about so many pieces, from the ticks of d3-array.
 * @returns 0 where the span is too small or too large to be parted
 */
export function roundStep(span: number, parts: number): number {
  const step = tickStep(0, span, Math.max(1, parts));
  return Number.isFinite(step) && step > 0 && span + step > span ? tidy(step) : 0;
}

/** Ends moved outwards to whole steps, so that a scale starts and stops at round numbers; a step of 0 moves nothing. */
export function roundEnds(min: number, max: number, step: number): { min: number; max: number } {
  if (!(step > 0)) return { min, max };
  return { min: tidy(Math.floor(min / step) * step), max: tidy(Math.ceil(max / step) * step) };
}

/** A number without the last digits that adding up has spoilt. */
export const tidy = (value: number): number => Number(value.toPrecision(12));

/**
 * A step of 1, 2 or 5 × 10^n that parts `span` into about `parts` pieces.
 * Source: the ticks of d3-array (`tickIncrement`), whose thresholds are the geometric means between 1, 2, 5 and 10.
 */
export function roundStep(span: number, parts: number): number {
  const raw = span / Math.max(1, parts);
  const power = 10 ** Math.floor(Math.log10(raw));
  const rest = raw / power;
  const factor = rest >= Math.sqrt(50) ? 10 : rest >= Math.sqrt(10) ? 5 : rest >= Math.sqrt(2) ? 2 : 1;
  return Number((factor * power).toPrecision(12));
}

/** Ends moved outwards to whole steps, so that a scale starts and stops at round numbers. */
export function roundEnds(min: number, max: number, step: number): { min: number; max: number } {
  const tidy = (value: number) => Number(value.toPrecision(12));
  return { min: tidy(Math.floor(min / step) * step), max: tidy(Math.ceil(max / step) * step) };
}

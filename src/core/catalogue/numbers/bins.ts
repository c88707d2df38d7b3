import { scaleEnds, scaleOf } from "./scale.ts";
import { roundStep, tidy } from "./ticks.ts";

/**
 * Edges of about the given number of bins: of equal width with round edges, or, with `bent`, of equal length on a
 * logarithmic-like scale. At least two edges.
 */
export function binEdges(min: number, max: number, bins: number, bent = false): number[] {
  const { stops } = bent ? scaleOf(scaleEnds({ least: min, most: max, bent, step: 0, days: false }), true) : noStops;
  if (stops) {
    const step = Math.max(1, Math.round((stops.length - 1) / bins));
    const edges = stops.filter((_, at) => at % step === 0);
    const last = stops.at(-1) ?? max;
    return edges.at(-1) === last ? edges : [...edges, last];
  }
  // Values too close together for a round width share one bin.
  const width = roundStep(max - min || 1, bins) || max - min || 1;
  const from = Math.floor(min / width) * width;
  const count = Math.max(1, Math.min(bins * 4, Math.ceil((max - from) / width)));
  return Array.from({ length: count + 1 }, (_, at) => tidy(from + at * width));
}

/**
 * The bin of a number; numbers outside belong to the first or last bin. A binary search of our own, since shoppers
 * download it.
 */
export function binOf(edges: readonly number[], value: number): number {
  let [low, high] = [0, Math.max(0, edges.length - 2)];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((edges[middle] ?? 0) <= value) low = middle;
    else high = middle - 1;
  }
  return low;
}

const noStops = { stops: undefined };

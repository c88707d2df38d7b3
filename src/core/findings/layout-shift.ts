/** The visible part of an element, in CSS px of the viewport. */
export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** An element's position before and after: its visible part, and where it starts. */
export interface BoxMove {
  before: Box;
  after: Box;
  /** Horizontal distance between the starts, in CSS px. */
  dx: number;
  dy: number;
}

export interface Viewport {
  width: number;
  height: number;
}

/** Whether a move counts. Source: Layout Instability specification, “differs by 3 or more CSS pixels”. */
export const isMove = (dx: number, dy: number): boolean => Math.max(Math.abs(dx), Math.abs(dy)) >= 3;

/**
 * The layout shift score between two frames: the share of the viewport that moving things take before or after
 * (impact fraction), times the greatest move as a share of the viewport's larger side (distance fraction).
 * Source: W3C Layout Instability specification, sections on impact and distance fraction.
 * @param moves of elements that are there in both frames
 */
export function layoutShift(moves: readonly BoxMove[], viewport: Viewport): number {
  const unstable = moves.filter(({ dx, dy }) => isMove(dx, dy));
  if (unstable.length === 0) return 0;
  const seen = unstable.flatMap(({ before, after }) => [before, after]);
  const impact = unionArea(seen) / (viewport.width * viewport.height);
  const farthest = Math.max(...unstable.map(({ dx, dy }) => Math.max(Math.abs(dx), Math.abs(dy))));
  return impact * Math.min(1, farthest / Math.max(viewport.width, viewport.height));
}

/** The area covered by the union of some boxes, by a sweep over their edges from the left. */
export function unionArea(boxes: readonly Box[]): number {
  const solid = boxes.filter(({ width, height }) => width > 0 && height > 0);
  const edges = [...new Set(solid.flatMap(({ x, width }) => [x, x + width]))].sort((a, b) => a - b);
  const rows = [...solid].sort((a, b) => a.y - b.y);
  return edges.slice(1).reduce((area, right, at) => {
    const left = edges[at] ?? right;
    let covered = 0;
    let end = Number.NEGATIVE_INFINITY;
    for (const { x, y, width, height } of rows) {
      if (x > left || x + width < right) continue;
      covered += Math.max(0, y + height - Math.max(end, y));
      end = Math.max(end, y + height);
    }
    return area + covered * (right - left);
  }, 0);
}

/** Browsers ignore moves within this many ms after an input. Source: the same specification. */
export const afterInput = 500;

/** The shopper's steps tried on each row. */
export const trialSteps = ["choose", "take back", "fold", "open"] as const;
export type TrialStep = (typeof trialSteps)[number];

/** The step of a row with the largest shift. */
export interface RowShift {
  row: string;
  step: TrialStep;
  /** All moves as a shopper sees them, except those caused by scrolling. */
  felt: number;
  /** As browsers count: without what moves within {@link afterInput} ms after the step. */
  counted: number;
}

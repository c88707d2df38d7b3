import { type Box, layoutShift, type Move } from "../../core/shift/layout-shift.ts";

/** Where each visible element starts, and what of it can be seen. */
export type Snapshot = ReadonlyMap<Element, { left: number; top: number; seen: Box }>;

interface Area {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** The visible elements of the page, where they are in this frame. What scrolls by itself shows no more than its own box. */
export function takeSnapshot(root: Element): Snapshot {
  const found = new Map<Element, { left: number; top: number; seen: Box }>();
  const walk = (element: Element, clip: Area) => {
    const { left, top, right, bottom, width, height } = element.getBoundingClientRect();
    const style = getComputedStyle(element);
    if (style.display === "none" || style.visibility === "hidden") return;
    const area = {
      left: Math.max(left, clip.left),
      top: Math.max(top, clip.top),
      right: Math.min(right, clip.right),
      bottom: Math.min(bottom, clip.bottom),
    };
    if (width > 0 && height > 0 && area.right > area.left && area.bottom > area.top) {
      const seen = { x: area.left, y: area.top, width: area.right - area.left, height: area.bottom - area.top };
      found.set(element, { left, top, seen });
    }
    const inside = style.overflow === "visible" ? clip : area;
    for (const child of element.children) walk(child, inside);
  };
  walk(root, { left: 0, top: 0, right: innerWidth, bottom: innerHeight });
  return found;
}

/** The layout shift between two frames. */
export function shiftBetween(before: Snapshot, after: Snapshot): number {
  const moves = [...after].flatMap(([element, now]): Move[] => {
    const was = before.get(element);
    return was ? [{ before: was.seen, after: now.seen, dx: now.left - was.left, dy: now.top - was.top }] : [];
  });
  return layoutShift(moves, { width: innerWidth, height: innerHeight });
}

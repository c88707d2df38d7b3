import { type Box, type BoxMove, isMove, layoutShift } from "../../core/findings/layout-shift.ts";

interface Way {
  x: number;
  y: number;
}

interface Area {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** An element's position, its visible part, and its displacement by scrolling and sticking; in CSS px. */
interface Spot {
  own: Area;
  clip: Area;
  scrolled: Way;
}

/**
 * The elements of a page that take space, including those out of sight: browsers count elements that enter or leave
 * the viewport.
 */
export type Snapshot = ReadonlyMap<Element, Spot>;

/** Positions of the page's elements in this frame. The content of a scroll container is clipped to its box. */
export function takeSnapshot(root: Element): Snapshot {
  const found = new Map<Element, Spot>();
  const walk = (element: Element, clip: Area, scrolled: Way) => {
    const { left, top, right, bottom } = element.getBoundingClientRect();
    const style = getComputedStyle(element);
    if (style.display === "none" || style.visibility === "hidden") return;
    const own = { left, top, right, bottom };
    const here = style.position === "sticky" ? less(scrolled, stuckBy(element)) : scrolled;
    if (hasRoom(own)) found.set(element, { own, clip, scrolled: here });
    const inside = style.overflow === "visible" ? clip : shared(own, clip);
    const { scrollLeft: x, scrollTop: y } = element;
    const within = x === 0 && y === 0 ? here : less(here, { x: -x, y: -y });
    for (const child of element.children) walk(child, inside, within);
  };
  walk(root, { left: 0, top: 0, right: innerWidth, bottom: innerHeight }, { x: scrollX, y: scrollY });
  return found;
}

/**
 * The layout shift between two frames. Moves by scrolling alone are excluded, as are elements held in place by it; the
 * others are measured relative to their scroll container, as browsers do.
 */
export function shiftBetween(before: Snapshot, after: Snapshot): number {
  const moves = [...after].flatMap(([element, now]): BoxMove[] => {
    const was = before.get(element);
    if (!was) return [];
    const [x, y] = [was.scrolled.x - now.scrolled.x, was.scrolled.y - now.scrolled.y];
    const move = {
      before: boxOf(shared(moved(was.own, x, y), now.clip)),
      after: boxOf(shared(now.own, now.clip)),
      dx: now.own.left - was.own.left - x,
      dy: now.own.top - was.own.top - y,
    };
    const isSeen = hasRoom(shared(was.own, was.clip)) || hasRoom(shared(now.own, now.clip));
    return isSeen && isMove(now.own.left - was.own.left, now.own.top - was.own.top) ? [move] : [];
  });
  return layoutShift(moves, { width: innerWidth, height: innerHeight });
}

/** Displacement of a sticky element from its static position. */
function stuckBy(element: Element): Way {
  if (!(element instanceof HTMLElement)) return { x: 0, y: 0 };
  const now = element.getBoundingClientRect();
  const { position, inset } = element.style;
  // Nothing is painted in between, so nobody sees it.
  element.style.setProperty("position", "relative", "important");
  element.style.setProperty("inset", "auto", "important");
  const loose = element.getBoundingClientRect();
  element.style.position = position;
  element.style.inset = inset;
  return { x: now.left - loose.left, y: now.top - loose.top };
}

const less = (a: Way, b: Way): Way => ({ x: a.x - b.x, y: a.y - b.y });

const hasRoom = ({ left, top, right, bottom }: Area): boolean => right > left && bottom > top;

const shared = (a: Area, b: Area): Area => ({
  left: Math.max(a.left, b.left),
  top: Math.max(a.top, b.top),
  right: Math.min(a.right, b.right),
  bottom: Math.min(a.bottom, b.bottom),
});

const moved = ({ left, top, right, bottom }: Area, x: number, y: number): Area => ({
  left: left + x,
  top: top + y,
  right: right + x,
  bottom: bottom + y,
});

const boxOf = (area: Area): Box => ({
  x: area.left,
  y: area.top,
  width: Math.max(0, area.right - area.left),
  height: Math.max(0, area.bottom - area.top),
});

import { useLayoutEffect, useState } from "preact/hooks";
import type { PreviewNote } from "../../core/api/preview.ts";
import { elementOf, isAnchored } from "./note-place.ts";

/** A place in the window, in CSS px. */
interface Spot {
  left: number;
  top: number;
}

interface Props {
  /** The notes on the open page, with their numbers. */
  notes: readonly { note: PreviewNote; n: number }[];
  base: string;
  open(id: number): void;
}

/** Size of a pin, in CSS px. */
const pinSize = { width: 28, height: 24 };

/** Width from which an option has a line of its own, in CSS px. */
const wideOption = 120;

/** Where a note is pinned; undefined while what it is about can’t be seen. */
function spotOf({ place }: PreviewNote, base: string): Spot | undefined {
  const drawer = document.querySelector("dialog[open]");
  if (!isAnchored(place)) {
    const { scrollWidth, scrollHeight } = document.documentElement;
    return drawer ? undefined : { left: place.x * scrollWidth - scrollX, top: place.y * scrollHeight - scrollY };
  }
  const element = elementOf(place, base);
  if (!element || (drawer && !drawer.contains(element))) return undefined;
  const box = element.getBoundingClientRect();
  if (box.width === 0 || box.height === 0 || isScrolledAway(element, box)) return undefined;
  // Beside an option on a line of its own, so that its count stays legible; in the corner of anything else.
  const beside = place.option !== undefined && box.width > wideOption;
  return {
    left: Math.min(beside ? box.right + 2 : box.right - pinSize.width / 2, innerWidth - pinSize.width),
    top: (beside ? box.top + box.height / 2 : box.top) - pinSize.height / 2,
  };
}

/** Whether an element's top is outside of a part of the page that scrolls by itself. */
function isScrolledAway(element: HTMLElement, { top }: DOMRect): boolean {
  for (let around = element.parentElement; around && around !== document.body; around = around.parentElement) {
    if (getComputedStyle(around).overflowY === "visible") continue;
    const box = around.getBoundingClientRect();
    if (top < box.top - pinSize.height || top > box.bottom) return true;
  }
  return false;
}

const isSame = (a: readonly (Spot | undefined)[], b: readonly (Spot | undefined)[]): boolean =>
  a.length === b.length && a.every((one, at) => one?.left === b[at]?.left && one?.top === b[at]?.top);

/** A numbered flag at everything that has a note. Follows the page as it changes. */
export function Pins({ notes, base, open }: Props) {
  const [spots, setSpots] = useState<readonly (Spot | undefined)[]>([]);
  useLayoutEffect(() => {
    let asked = 0;
    const place = () => {
      asked = 0;
      const now = notes.map(({ note }) => spotOf(note, base));
      setSpots((before) => (isSame(before, now) ? before : now));
    };
    const soon = () => {
      asked ||= requestAnimationFrame(place);
    };
    place();
    const changes = new MutationObserver(soon);
    const page = document.getElementById("zt-page");
    if (page) changes.observe(page, { childList: true, subtree: true, attributes: true });
    const sizes = new ResizeObserver(soon);
    sizes.observe(document.body);
    addEventListener("scroll", soon, { capture: true, passive: true });
    return () => {
      cancelAnimationFrame(asked);
      changes.disconnect();
      sizes.disconnect();
      removeEventListener("scroll", soon, { capture: true });
    };
  }, [notes, base]);
  return (
    <>
      {notes.map(({ note, n }, at) => {
        const spot = spots[at];
        return spot ? (
          <button
            key={note.id}
            type="button"
            class="pin"
            data-done={note.doneAt ? "" : undefined}
            style={{ left: `${spot.left}px`, top: `${spot.top}px` }}
            aria-label={`Note ${n} by ${note.name}${note.doneAt ? ", done" : ""}: ${note.place.words || "this place"}`}
            onClick={() => open(note.id)}
          >
            {n}
          </button>
        ) : null;
      })}
    </>
  );
}

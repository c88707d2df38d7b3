import { useState } from "react";
import { dragged } from "./drag.ts";
import { type DraggedShare, draggedShares, nearestShare, type RowBox, spanOf } from "./geometry.ts";

interface Props {
  title: string;
  box: RowBox;
  /** Of all rows of the panel. */
  boxes: readonly RowBox[];
  /** The page's start in the rail's own px, minus its scroll position. */
  left: number;
  scale: number;
  frame: { width: number; height: number };
  setActive(on: boolean): void;
  set(share: DraggedShare): void;
}

/** A line below a row with a mark at each share of the panel's width, and a handle at its own, which can be dragged. */
export function WidthLine({ title, box, boxes, left, scale, frame, setActive, set }: Props) {
  const [held, setHeld] = useState<number | undefined>(undefined);
  const span = spanOf(boxes);
  const whole = span.right - span.left;
  const shareOf = (width: number) => nearestShare(width, whole);
  const at = box.right - box.left;
  const width = held ?? at;
  const y = box.bottom * scale;
  if (y > frame.height - 4 || whole <= 0) return null;
  const start = left + box.left * scale;
  const moved = (event: PointerEvent) => {
    const rail = (event.currentTarget as Element).closest("[data-rail]")?.getBoundingClientRect();
    return Math.max(20, (event.clientX - (rail?.left ?? 0) - start) / scale);
  };
  const room = (span.right - box.left) * scale;
  return (
    <div
      className="absolute z-20 h-0 border-t border-secondary"
      style={{ left: start, top: y, width: room }}
      onPointerEnter={() => setActive(true)}
      onPointerLeave={() => held === undefined && setActive(false)}
    >
      {draggedShares
        .filter(([, of]) => of * whole <= span.right - box.left + 1)
        .map(([share, of]) => (
          <span
            key={share}
            aria-hidden
            className={`absolute -top-1 h-2 border-s ${shareOf(width) === share ? "border-primary" : "border-secondary"}`}
            style={{ left: of * whole * scale }}
          />
        ))}
      <button
        type="button"
        className="absolute -top-2 h-4 w-2.5 -translate-x-1/2 cursor-ew-resize touch-none rounded-sm border border-primary bg-secondary"
        style={{ left: width * scale }}
        aria-label={`Width of ${title}`}
        title="Drag to a quarter, a third, a half or the whole"
        {...dragged({
          move: (event) => setHeld(moved(event)),
          drop(event) {
            setHeld(undefined);
            set(shareOf(moved(event)));
          },
          cancel: () => setHeld(undefined),
        })}
        onFocus={() => setActive(true)}
        onKeyDown={(event) => {
          const steps = draggedShares.map(([share]) => share);
          const now = steps.indexOf(shareOf(at));
          const next = { ArrowLeft: steps[now - 1], ArrowRight: steps[now + 1] }[event.key];
          if (!next) return;
          event.preventDefault();
          set(next);
        }}
      />
    </div>
  );
}

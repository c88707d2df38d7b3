import type React from "react";

export interface Drag {
  move(event: PointerEvent): void;
  drop(event: PointerEvent): void;
  cancel(): void;
}

/** Distance in px from which a press becomes a drag, so that a click stays one. */
const least = 4;

/** Makes an element draggable: the pointer is captured from press to release, and Escape cancels. */
export function dragged({ move, drop, cancel }: Drag) {
  return {
    onPointerDown(start: React.PointerEvent<HTMLElement>) {
      const element = start.currentTarget;
      if (start.button !== 0) return;
      element.setPointerCapture(start.pointerId);
      let drags = false;
      const moved = (event: PointerEvent) => {
        drags ||= Math.hypot(event.clientX - start.clientX, event.clientY - start.clientY) >= least;
        if (drags) move(event);
      };
      const stop = () => {
        element.removeEventListener("pointermove", moved);
        element.removeEventListener("pointerup", done);
        element.removeEventListener("pointercancel", give);
        removeEventListener("keydown", onEscape, true);
      };
      const done = (event: PointerEvent) => {
        stop();
        if (drags) drop(event);
      };
      const give = () => {
        stop();
        cancel();
      };
      const onEscape = (event: KeyboardEvent) => {
        if (event.key === "Escape") give();
      };
      element.addEventListener("pointermove", moved);
      element.addEventListener("pointerup", done);
      element.addEventListener("pointercancel", give);
      addEventListener("keydown", onEscape, true);
    },
  };
}

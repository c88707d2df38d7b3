import { useState } from "preact/hooks";
import type { Placement } from "../../../core/panel/placement.ts";
import { placeOf } from "../../page/page-panel.ts";
import type { PageState } from "../../page/page-state.ts";
import type { ArrangeAct } from "./act.ts";
import { dragged } from "./drag.ts";

interface Props {
  slug: string;
  name: string;
  state: PageState;
  tell(act: ArrangeAct): void;
}

/** Slots that a panel can be dragged to. */
const slots = ["left", "above", "right", "header"] as const;

/** The panel's own handle: drags it from slot to slot, or moves it with the arrow keys. */
export function PanelHandle({ slug, name, state, tell }: Props) {
  const [over, setOver] = useState<Placement | undefined>(undefined);
  const [shown, setShown] = useState(false);
  const panel = document.querySelector(`[data-panel="${CSS.escape(slug)}"]`)?.getBoundingClientRect();
  const one = state.panels.find((other) => other.slug === slug);
  if (!panel || !one || panel.width === 0) return null;
  const now = placeOf(one, state.band);
  const put = (placement: Placement) => placement !== now && tell({ do: "place", placement });
  const drag = dragged({
    move({ clientX, clientY }) {
      setShown(true);
      setOver(slotAt(clientX, clientY));
    },
    drop({ clientX, clientY }) {
      setShown(false);
      const slot = slotAt(clientX, clientY);
      if (slot) put(slot);
    },
    cancel: () => setShown(false),
  });
  return (
    <>
      <button
        type="button"
        class="zt-arrange-panel"
        aria-label={`Move the panel ${name}`}
        title="Drag to another slot, or move with the arrow keys"
        style={{ left: `${panel.left + scrollX}px`, top: `${panel.top + scrollY - 30}px` }}
        {...drag}
        onKeyDown={(event) => {
          const ways: Record<string, Placement> = {
            ArrowLeft: "left",
            ArrowRight: "right",
            ArrowUp: now === "above" ? "header" : "above",
            ArrowDown: now === "header" ? "above" : "left",
          };
          const way = ways[event.key];
          if (!way) return;
          event.preventDefault();
          put(way);
        }}
      >
        ⠿ {name}
      </button>
      {shown
        ? slots.map((slot) => {
            const area = areaOf(slot);
            return area ? (
              <div
                key={slot}
                class="zt-arrange-slot"
                data-over={slot === over || undefined}
                style={{
                  left: `${area.left}px`,
                  top: `${area.top}px`,
                  width: `${area.right - area.left}px`,
                  height: `${area.bottom - area.top}px`,
                }}
              >
                {slot}
              </div>
            ) : null;
          })
        : null}
    </>
  );
}

/** Where a slot is in the window. */
function areaOf(slot: (typeof slots)[number]) {
  const layout = document.querySelector(".zs-layout")?.getBoundingClientRect();
  const main = document.querySelector(".zs-main")?.getBoundingClientRect();
  if (!layout || !main) return undefined;
  const side = Math.min(264, layout.width / 3);
  const top = Math.max(layout.top, 100);
  const bottom = Math.min(layout.bottom, innerHeight - 10);
  switch (slot) {
    case "left":
      return { left: layout.left, right: layout.left + side, top, bottom };
    case "right":
      return { left: layout.right - side, right: layout.right, top, bottom };
    case "above":
      return { left: layout.left + side + 10, right: layout.right - side - 10, top, bottom: top + 120 };
    case "header":
      return { left: main.left, right: main.right, top: Math.max(0, top - 70), bottom: top - 8 };
  }
}

const slotAt = (x: number, y: number): Placement | undefined =>
  slots.find((slot) => {
    const area = areaOf(slot);
    return area && x >= area.left && x <= area.right && y >= area.top && y <= area.bottom;
  });

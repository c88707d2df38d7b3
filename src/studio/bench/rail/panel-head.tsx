import { Move } from "lucide-react";
import { type Band, resolve } from "../../../core/settings/band.ts";
import type { Placement } from "../../../core/settings/placement.ts";
import { usePanel } from "../bench-context.ts";
import { usePlacement } from "../use-placement.ts";
import { dragged } from "./drag.ts";
import { headHeight } from "./geometry.ts";

interface Props {
  narrow: boolean;
  band: Band;
  put(placement: Placement): void;
  /** The slot under the pointer. */
  slotAt(event: PointerEvent): Placement | undefined;
  done(): void;
}

/** The panel's own head in a rail: drags it between slots, or moves it with the arrow keys. */
export function PanelHead({ narrow, band, put, slotAt, done }: Props) {
  const name = usePanel((state) => state.document.name);
  const { placement } = usePlacement();
  const now = resolve(placement, band);
  const placed = (next: Placement | undefined) => {
    if (next !== undefined && next !== now) put(next);
  };
  return (
    <button
      type="button"
      className="absolute inset-x-0 top-0 flex cursor-grab touch-none items-center gap-1 rounded-md bg-primary px-1 text-[12px] text-primary-content"
      style={{ height: headHeight - 2 }}
      aria-label={`Move the panel ${name}`}
      title={`${name}: drag to another slot, or move with the arrow keys`}
      {...dragged({
        move: (event) => void slotAt(event),
        drop(event) {
          placed(slotAt(event));
          done();
        },
        cancel: done,
      })}
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
        placed(way);
      }}
    >
      <Move size={12} aria-hidden className="flex-none" />
      {narrow ? null : <span className="truncate">{name}</span>}
    </button>
  );
}

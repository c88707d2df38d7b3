import { useRef } from "react";
import { bandAt } from "../../core/settings/band.ts";
import { setLimits } from "../../core/shop/edit.ts";
import { useOpenShop, useShopSettings } from "../shell/shop-context.ts";
import { useBench, useSession } from "./bench-context.ts";

const least = 320;
const most = 1600;
const marks = [400, 600, 800, 1000, 1200, 1400, 1600];
const step = 10;
const share = (px: number) => `${((px - least) / (most - least)) * 100}%`;

/** Page widths in px, with the band limits and the wide page's width as draggable handles. */
export function Ruler() {
  const { session } = useBench();
  const { settings } = useOpenShop();
  const limits = useShopSettings((settings) => settings.limits);
  const pageWidth = useSession((state) => state.pageWidth);
  const track = useRef<HTMLDivElement>(null);
  const names: [string, number, number][] = [
    ["slim", least, limits.medium],
    ["medium", limits.medium, limits.wide],
    ["wide", limits.wide, most],
  ];
  const now = bandAt(pageWidth, limits);
  return (
    <div className="mx-7 flex-none pb-1 pt-1.5">
      <div ref={track} className="relative h-11 touch-none select-none text-[13px] text-quiet tabular-nums">
        {marks.map((px) => (
          <span
            key={px}
            className="absolute top-0 -translate-x-1/2"
            style={{ insetInlineStart: share(px) }}
            aria-hidden
          >
            {px}
          </span>
        ))}
        {names.map(([name, from, to]) => (
          <span
            key={name}
            className={`absolute bottom-0 top-5 overflow-hidden border-b-2 ps-4 pt-0.5 ${name === now ? "border-primary font-semibold text-base-content" : "border-base-300"}`}
            style={{ insetInlineStart: share(from), width: `calc(${share(to)} - ${share(from)})` }}
          >
            {name}
          </span>
        ))}
        <Stop
          track={track}
          label="Wide page"
          value={pageWidth}
          shape="page"
          set={(px) => session.setState({ pageWidth: px })}
        />
        <Stop
          track={track}
          label="Medium begins at"
          value={limits.medium}
          shape="limit"
          set={(px) =>
            settings.getState().apply(setLimits({ ...limits, medium: Math.min(px, limits.wide - 100) }), true)
          }
        />
        <Stop
          track={track}
          label="Wide begins at"
          value={limits.wide}
          shape="limit"
          set={(px) => settings.getState().apply(setLimits({ ...limits, wide: px }), true)}
        />
      </div>
    </div>
  );
}

interface StopProps {
  track: React.RefObject<HTMLDivElement | null>;
  label: string;
  value: number;
  shape: "limit" | "page";
  set(px: number): void;
}

function Stop({ track, label, value, shape, set }: StopProps) {
  const put = (px: number) => set(Math.max(least, Math.min(most, Math.round(px / step) * step)));
  const keys: Record<string, number> = {
    ArrowLeft: -step,
    ArrowDown: -step,
    ArrowRight: step,
    ArrowUp: step,
    PageDown: -100,
    PageUp: 100,
  };
  return (
    <span
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuemin={least}
      aria-valuemax={most}
      aria-valuenow={value}
      aria-valuetext={`${value} px`}
      title={`${label} ${value} px`}
      className={`absolute -ms-3 grid size-6 cursor-ew-resize place-items-center rounded-full ${shape === "limit" ? "-bottom-3" : "top-[17px]"}`}
      style={{ insetInlineStart: share(value) }}
      onKeyDown={(event) => {
        const by = keys[event.key];
        if (by !== undefined) put(value + by);
        else if (event.key === "Home") put(least);
        else if (event.key === "End") put(most);
        else return;
        event.preventDefault();
      }}
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={(event) => {
        const box = track.current?.getBoundingClientRect();
        if (box && event.currentTarget.hasPointerCapture(event.pointerId))
          put(least + ((event.clientX - box.left) / box.width) * (most - least));
      }}
    >
      {shape === "limit" ? (
        <span className="size-3.5 rounded-full border-[3px] border-accent bg-base-100" />
      ) : (
        <span className="border-x-[6px] border-t-[8px] border-x-transparent border-t-primary" />
      )}
    </span>
  );
}

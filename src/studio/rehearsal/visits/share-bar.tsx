import type { Share } from "../../../core/api/visit-report.ts";
import { percent } from "../../shell/percent.ts";

/** A share as a bar with its 95% interval, and in words. */
export function ShareBar({ share: { hits, of, low, high } }: { share: Share }) {
  const at = (share: number) => `${share * 100}%`;
  return (
    <span
      className="flex items-center gap-2"
      title={`${hits.toLocaleString("en")} of ${of.toLocaleString("en")}; 95% interval ${inPercent(low)} to ${inPercent(high)}`}
    >
      <span className="relative h-2 w-12 flex-none rounded-full bg-base-300" aria-hidden>
        <span
          className="absolute inset-y-0 left-0 rounded-full bg-success"
          style={{ width: at(of === 0 ? 0 : hits / of) }}
        />
        <span
          className="absolute top-1/2 h-px -translate-y-1/2 bg-base-content"
          style={{ left: at(low), width: at(Math.max(0, high - low)) }}
        />
      </span>
      <span className="whitespace-nowrap tabular-nums">
        {percent(hits, of)}{" "}
        <span className="text-quiet">
          ({inPercent(low)}–{inPercent(high)})
        </span>
      </span>
    </span>
  );
}

const inPercent = (share: number): string => `${Math.round(share * 100)}%`;

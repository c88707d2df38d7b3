/** @jsxImportSource preact */
import { fromNumber, toNumber } from "../../../core/catalogue/values.ts";
import { roundEnds, roundStep } from "../../../core/evidence/ticks.ts";
import { type Range, rangeOf } from "../../../core/match/selection.ts";
import { rangeNames } from "../../address.ts";
import type { DisplayProps } from "../display.ts";

/** About how many stops there are between the ends. */
const stops = 100;

/** Two handles over a histogram, and two inputs. A handle at its end leaves that end open. */
export function Slider({ row, field, label, range, choice, choose, format }: DisplayProps) {
  const { min: least, max: most, histogram } = range?.steady ?? { min: null, max: null, histogram: null };
  if (least === null || most === null) return <p class="zt-hint">No product states this.</p>;
  const step = field.kind === "date" ? 1 : roundStep(most - least || 1, stops);
  const { min, max } = field.kind === "date" ? { min: least, max: most } : roundEnds(least, most, step);
  const chosen = rangeOf(choice);
  const low = clamp(chosen.min ?? min, min, max);
  const high = clamp(chosen.max ?? max, min, max);
  const set = (next: Range) => choose({ min: open(next.min, min), max: open(next.max, max) });
  const names = rangeNames(row.field);
  const share = (value: number) => (max === min ? 0 : ((value - min) / (max - min)) * 100);
  const live = range?.live.histogram;
  const tallest = Math.max(1, ...(histogram?.counts ?? []));

  return (
    <div class="zt-range" style={{ "--low": `${share(low)}%`, "--high": `${share(high)}%` }}>
      <div class="zt-bars" aria-hidden="true">
        {histogram?.counts.map((count, bin) => {
          const from = histogram.from + bin * histogram.width;
          const at = live ? live.counts[Math.round((from - live.from) / live.width)] : undefined;
          const left = share(Math.max(min, from));
          const right = share(Math.min(max, from + histogram.width));
          return (
            <span
              key={bin}
              style={{ left: `${left}%`, width: `${Math.max(0, right - left)}%`, height: `${(count / tallest) * 100}%` }}
              data-in={from < high && from + histogram.width > low ? "" : undefined}
              data-empty={at === 0 || undefined}
            />
          );
        })}
      </div>
      <div class="zt-track">
        <input
          type="range"
          aria-label={`${label}, least`}
          aria-valuetext={format(low)}
          min={min}
          max={max}
          step={step}
          value={low}
          onInput={(event) => set({ min: Math.min(event.currentTarget.valueAsNumber, high), max: chosen.max })}
        />
        <input
          type="range"
          aria-label={`${label}, most`}
          aria-valuetext={format(high)}
          min={min}
          max={max}
          step={step}
          value={high}
          onInput={(event) => set({ min: chosen.min, max: Math.max(event.currentTarget.valueAsNumber, low) })}
        />
      </div>
      <div class="zt-ends">
        <End
          name={names.min}
          label={`${label} from`}
          kind={field.kind}
          value={chosen.min}
          hint={least}
          set={(value) => choose({ min: value, max: chosen.max })}
        />
        <span aria-hidden="true">to</span>
        <End
          name={names.max}
          label={`${label} to`}
          kind={field.kind}
          value={chosen.max}
          hint={most}
          set={(value) => choose({ min: chosen.min, max: value })}
        />
      </div>
      <p class="zt-hint">
        {format(least)} to {format(most)}
      </p>
    </div>
  );
}

interface EndProps {
  name: string;
  label: string;
  kind: DisplayProps["field"]["kind"];
  value: number | undefined;
  hint: number;
  set(value: number | undefined): void;
}

function End({ name, label, kind, value, hint, set }: EndProps) {
  const same = {
    class: "zt-end",
    name,
    "aria-label": label,
    placeholder: fromNumber(hint, kind),
    value: value === undefined ? "" : fromNumber(value, kind),
    onChange: (event: { currentTarget: HTMLInputElement }) => {
      const typed = toNumber(event.currentTarget.value.replace(",", "."), kind);
      // What is no number is taken back, so that the field never shows an end that does not hold.
      if (Number.isNaN(typed)) event.currentTarget.value = "";
      set(Number.isNaN(typed) ? undefined : typed);
    },
  };
  return kind === "date" ? <input type="date" {...same} /> : <input type="text" inputMode="decimal" {...same} />;
}

const clamp = (value: number, min: number, max: number) => Math.max(min, Math.min(value, max));
const open = (value: number | undefined, end: number) => (value === end ? undefined : value);

import type { ComponentChildren } from "preact";
import { useState } from "preact/hooks";
import type { Range } from "../../../../core/catalogue/numbers/range-schema.ts";
import { placeIn, type Scale, scaleOf } from "../../../../core/catalogue/numbers/scale.ts";
import { rangeOf } from "../../../../core/engine/selection.ts";
import type { DisplayProps, DisplayView } from "../display-props.ts";
import { rangeEnds } from "../range-ends.ts";

/** Two handles over a histogram. A handle at its end leaves that end open, so that nothing beyond a typed end is lost. */
export function Slider({
  settings,
  field,
  label,
  range,
  choice,
  choose,
  format,
  say,
  children,
}: DisplayProps & { children?: ComponentChildren }) {
  const [held, setHeld] = useState<"low" | "high" | undefined>(undefined);
  const ends = rangeEnds({ range, settings, field });
  if (!ends) return <p class="zt-hint">{say("notStated")}</p>;
  const { min, max, step, least, most } = ends;
  const scale = scaleOf(ends, settings.scale === "bent");
  const chosen = rangeOf(choice);
  const low = clamp(chosen.min ?? min, min, max);
  const high = clamp(chosen.max ?? chosen.below ?? max, min, max);
  const set = (next: Range) => choose({ min: open(next.min, min), max: open(next.max, max) });
  // A logarithmic-like scale's input has stop numbers as values; a linear one's has the values themselves.
  const { stops } = scale;
  const track = stops ? { min: 0, max: stops.length - 1, step: 1 } : { min, max, step };
  const place = (value: number) => (stops ? Math.round(placeIn(stops, value)) : value);
  const valueAt = (input: HTMLInputElement) => stops?.[input.valueAsNumber] ?? input.valueAsNumber;
  const handle = (end: "low" | "high", value: number, move: (to: number) => void) => (
    <input
      type="range"
      {...track}
      aria-label={say(end === "low" ? "least" : "most", { label })}
      aria-valuetext={format(value)}
      value={place(value)}
      onInput={(event) => move(valueAt(event.currentTarget))}
      onPointerDown={() => setHeld(end)}
      onPointerUp={() => setHeld(undefined)}
      onFocus={() => setHeld(end)}
      onBlur={() => setHeld(undefined)}
    />
  );

  return (
    <div class="zt-range" style={{ "--low": scale.share(low), "--high": scale.share(high) }}>
      {settings.histogram && range ? (
        <Bars range={range} scale={scale} low={low} high={high} min={min} max={max} />
      ) : null}
      <div class="zt-track">
        {handle("low", low, (to) => set({ min: Math.min(to, high), max: chosen.max }))}
        {handle("high", high, (to) => set({ min: chosen.min, max: Math.max(to, low) }))}
        {settings.bubbles && held ? (
          <output class="zt-bubble" data-end={held} aria-hidden="true">
            {format(held === "low" ? low : high)}
          </output>
        ) : null}
      </div>
      {children}
      {settings.values ? (
        <p class="zt-hint">
          {say("between", {
            low: least < min && low === min ? say("orLess", { value: format(low) }) : format(low),
            high: most > max && high === max ? say("orMore", { value: format(high) }) : format(high),
          })}
        </p>
      ) : null}
    </div>
  );
}

interface BarsProps {
  range: NonNullable<DisplayProps["range"]>;
  scale: Scale;
  low: number;
  high: number;
  min: number;
  max: number;
}

/** The distribution of the page's products; bins emptied by the other choices are pale. */
function Bars({ range: { live, steady }, scale, low, high, min, max }: BarsProps) {
  const { histogram } = steady;
  if (!histogram) return null;
  const tallest = Math.max(1, ...histogram.counts);
  return (
    // Paths with fixed coordinates, so that no style attributes are needed, which a strict policy forbids.
    <svg class="zt-bars" viewBox="0 0 1000 100" preserveAspectRatio="none" aria-hidden="true">
      {histogram.counts.map((count, bin) => {
        const [from = min, to = max] = [histogram.edges[bin], histogram.edges[bin + 1]];
        const start = scale.share(clamp(from, min, max));
        const end = scale.share(clamp(to, min, max));
        return (
          <path
            key={bin}
            d={barPath(start, end, count / tallest)}
            data-in={from < high && to > low ? "" : undefined}
            data-empty={live.histogram?.counts[bin] === 0 || undefined}
          />
        );
      })}
    </svg>
  );
}

/** One bar in a box of 1000 × 100, with a gap after it and a minimum height. */
function barPath(start: number, end: number, height: number): string {
  const round = (value: number) => Math.round(value * 100) / 100;
  const width = Math.max(0, (end - start) * 1000 - 4);
  return `M${round(start * 1000)} 100v${-round(Math.max(height * 100, 2))}h${round(width)}V100z`;
}

const clamp = (value: number, min: number, max: number) => Math.max(min, Math.min(value, max));
const open = (value: number | undefined, end: number) => (value === end ? undefined : value);

export const view: DisplayView = { View: Slider, sheets: ["range.css", "slider/slider.css"] };

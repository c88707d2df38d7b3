import { useMemo } from "react";
import { summaryOf } from "../../core/rehearsal/summary.ts";
import { percent } from "../shell/percent.ts";
import { bandNames, pixels, seconds } from "./in-words.ts";
import type { RehearsedBand } from "./rehearsal-view.tsx";
import { SpreadChart, type SpreadName, spreads } from "./spread-chart.tsx";
import type { Run } from "./use-rehearsal.ts";

interface Props {
  band: RehearsedBand;
  run: Run | undefined;
  chosen: boolean;
  choose(): void;
  /** What the chart tells of, where its axis ends, and how another is chosen. */
  measure: SpreadName;
  end: number;
  showMeasure(measure: SpreadName): void;
}

/** What a rehearsal says of one band. */
export function BandFigures({ band, run, chosen, choose, measure, end, showMeasure }: Props) {
  const walks = run?.walks ?? [];
  const summary = useMemo(() => summaryOf(walks), [walks]);
  const there = useMemo(() => walks.filter(({ ending }) => ending === "arrived"), [walks]);
  const wanted = run?.order.shoppers ?? 0;
  const n = walks.length;
  const arrived = Math.round(summary.endings.arrived * n);
  const mean = there.reduce((sum, { moves }) => sum + moves.length, 0) / Math.max(1, there.length);
  return (
    <section
      aria-label={bandNames[band]}
      aria-busy={run?.running}
      className={`flex flex-col gap-3 p-4 ${chosen ? "bg-base-100" : "bg-base-200"}`}
    >
      <header className="flex items-baseline gap-3">
        <h2 className="text-lg">{bandNames[band]}</h2>
        <p role="status" className="flex-1 text-[13px] text-quiet tabular-nums">
          {run?.stage
            ? `${n.toLocaleString("en")}${n < wanted ? ` of ${wanted.toLocaleString("en")}` : ""} shoppers, ${run.stage.products.toLocaleString("en")} products`
            : "Opening the catalogue …"}
        </p>
        <button
          type="button"
          className={`btn btn-xs ${chosen ? "btn-primary" : ""}`}
          aria-pressed={chosen}
          onClick={choose}
        >
          Details
        </button>
      </header>
      <progress
        className={`progress progress-accent h-1 ${run?.running ? "" : "invisible"}`}
        aria-label="Shoppers sent"
        max={Math.max(1, wanted)}
        value={n}
      />
      <dl className="grid grid-cols-4 gap-x-3 gap-y-1">
        <Figure name="find their product" value={percent(arrived, n)} large />
        {spreadNames.map((name) => (
          <Figure
            key={name}
            name={spreads[name].name}
            value={inWords[name](summary[name].median)}
            more={`90 % within ${inWords[name](summary[name].p90)}`}
            pressed={name === measure}
            press={() => showMeasure(name)}
          />
        ))}
      </dl>
      <SpreadChart measure={measure} walks={there} end={end} />
      <p className="text-[13px] text-quiet">
        {percent(Math.round(summary.endings["nothing helps"] * n), n)} know nothing more that helps,{" "}
        {percent(Math.round(summary.endings.patience * n), n)} lose patience;{" "}
        {percent(Math.round(summary.stuck * n), n)} meet a dead end.{" "}
        {run?.fewest === undefined
          ? null
          : `Those who find it make ${mean.toFixed(1)} choices on average; ${run.fewest.toFixed(1)} would have been enough.`}
      </p>
    </section>
  );
}

const spreadNames = ["moves", "seconds", "px"] as const satisfies SpreadName[];
const inWords: Record<SpreadName, (value: number) => string> = {
  moves: String,
  seconds,
  px: pixels,
};

interface FigureProps {
  name: string;
  value: string;
  more?: string;
  large?: boolean;
  /** Whether the chart shows how it is spread. */
  pressed?: boolean;
  press?(): void;
}

function Figure({ name, value, more, large = false, pressed, press }: FigureProps) {
  return (
    <div className="flex flex-col-reverse justify-end">
      <dt className="text-[13px] text-quiet">
        {press ? (
          <button
            type="button"
            className={`cursor-pointer border-b-2 text-base-content ${pressed ? "border-accent" : "border-transparent hover:border-hair"}`}
            aria-pressed={pressed}
            onClick={press}
          >
            {name}
          </button>
        ) : (
          name
        )}
        {more ? <span className="block">{more}</span> : null}
      </dt>
      <dd className={`font-display tabular-nums ${large ? "text-3xl" : "text-2xl"}`}>{value}</dd>
    </div>
  );
}

import { useMemo } from "react";
import type { MeasureDifference } from "../../core/rehearsal/compare.ts";
import type { Robust } from "../../core/rehearsal/robust.ts";
import type { Span } from "../../core/rehearsal/span.ts";
import { summaryOf } from "../../core/rehearsal/summary.ts";
import { percent } from "../shell/percent.ts";
import { bandNames, inPercent, pixels, points, seconds } from "./in-words.ts";
import { SpreadChart, type SpreadName, spreads } from "./spread-chart.tsx";
import type { Run } from "./use-rehearsal.ts";
import type { RehearsedBand } from "./wishes.ts";

interface Props {
  band: RehearsedBand;
  run: Run | undefined;
  /** The difference from the latest edition, and its name; undefined if there is none, or not yet. */
  against: Robust | undefined;
  edition: string | undefined;
  chosen: boolean;
  choose(): void;
  /** Shows each shopper with the outcome. */
  showShoppers(): void;
  /** The measure of the chart, the end of its axis, and the callback to select another. */
  measure: SpreadName;
  end: number;
  showMeasure(measure: SpreadName): void;
}

/** The results of a rehearsal on one band. */
export function BandFigures({
  band,
  run,
  against,
  edition,
  chosen,
  choose,
  showShoppers,
  measure,
  end,
  showMeasure,
}: Props) {
  const walks = run?.walks ?? [];
  const summary = useMemo(() => summaryOf(walks), [walks]);
  const there = useMemo(() => walks.filter(({ ending }) => ending === "arrived"), [walks]);
  const span = run?.span;
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
            : "Loading the catalogue…"}
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
      <p className="min-h-6 font-medium">
        {against && edition ? againstWords(against, edition, wanted) : null}
        {edition === undefined ? (
          <span className="font-normal text-quiet">
            After you publish an edition, the draft is compared with it here.
          </span>
        ) : null}
      </p>
      <dl className="grid grid-cols-[repeat(4,auto)] justify-between gap-x-3 gap-y-1 max-sm:grid-cols-2">
        <Figure
          name="find their product"
          value={span ? spanWords(span) : percent(arrived, n)}
          more={span ? `${percent(arrived, n)} as assumed` : undefined}
          open={showShoppers}
        />
        {spreadNames.map((name) => (
          <Figure
            key={name}
            name={spreads[name].name}
            value={inWords[name](summary[name].median)}
            more={`90% within ${inWords[name](summary[name].p90)}`}
            pressed={name === measure}
            press={() => showMeasure(name)}
          />
        ))}
      </dl>
      <SpreadChart measure={measure} walks={there} end={end} />
      <p className="text-[13px] text-quiet">
        {percent(Math.round(summary.endings["nothing helps"] * n), n)} give up because no facet helps them any more,{" "}
        {percent(Math.round(summary.endings.patience * n), n)} lose patience;{" "}
        {percent(Math.round(summary.stuck * n), n)} reach a dead end.{" "}
        {run?.fewest === undefined
          ? null
          : `Those who find it make ${mean.toFixed(1)} choices on average; ${run.fewest.toFixed(1)} would have been enough.`}
      </p>
    </section>
  );
}

/** From the lowest to the highest, or the one value if they are equal. */
function spanWords({ least, most }: Span): string {
  const [from, to] = [least, most].map(inPercent);
  return from === to ? `${to}` : `${from?.replace("%", "")} to ${to}`;
}

/** States the result of a comparison in one sentence. */
function againstWords({ base, low, high, whatever }: Robust, edition: string, shoppers: number): string {
  if (!base.differs) return `No difference from ${edition} shown by ${shoppers.toLocaleString("en")} shoppers.`;
  const words = `${points(Math.abs(base.mean))} ${base.mean > 0 ? "more" : "fewer"} find it than in ${edition}, of the same shoppers`;
  if (whatever) return `${words}, whatever they know.`;
  const holds = ({ differs, mean }: MeasureDifference) => differs && mean > 0 === base.mean > 0;
  const not = [
    ...(holds(low) ? [] : ["know half as much and look at 4 products"]),
    ...(holds(high) ? [] : ["know a quarter more and look at 24"]),
  ];
  return `${words}; not shown where they ${not.join(", nor where they ")}.`;
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
  more?: string | undefined;
  /** Whether the chart shows its distribution. */
  pressed?: boolean;
  press?(): void;
  /** Shows what is behind it. */
  open?(): void;
}

function Figure({ name, value, more, pressed, press, open }: FigureProps) {
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
        {more ? <span className="block whitespace-nowrap">{more}</span> : null}
      </dt>
      <dd className="font-display text-2xl whitespace-nowrap tabular-nums">
        {open ? (
          <button
            type="button"
            className="cursor-pointer underline decoration-quiet decoration-dotted underline-offset-4 hover:decoration-solid"
            aria-label={`${value} ${name}: show each shopper`}
            onClick={open}
          >
            {value}
          </button>
        ) : (
          value
        )}
      </dd>
    </div>
  );
}

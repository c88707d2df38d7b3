import type { FacetRow } from "../panel/panel-schema.ts";
import { rowTitle } from "../panel/row-title.ts";
import type { LocalFacts } from "../profile/local-facts.ts";
import type { Band } from "../settings/band.ts";
import type { MeasureDifference } from "./compare.ts";
import type { Scene } from "./scene.ts";
import type { Summary } from "./summary.ts";

/** A page's rehearsal on a band, as data. */
export interface BandReport {
  band: Band;
  shoppers: number;
  /** Whether the heights of panels and cards were measured by a browser or estimated. */
  heights: "measured" | "estimated";
  /** Shares of all shoppers. */
  arrived: number;
  nothingHelps: number;
  patience: number;
  /** Of those who arrive. */
  moves: Summary["moves"];
  seconds: Summary["seconds"];
  px: Summary["px"];
  fewestMoves: number | null;
  /** Share of shoppers who met a dead end. */
  deadEnds: number;
  facets: { row: string; title: string; used: number; before: number; after: number; deadEnds: number }[];
  /** Compared with the other folder: this one minus that. */
  against?: MeasureDifference[];
}

const short = (value: number): number => Number(value.toPrecision(4));
const spread = ({ median, p90 }: Summary["moves"]) => ({ median: short(median), p90: short(p90) });

/** A summary for the command line, numbers to four digits. It includes every facet of the page, used or not. */
export function bandReport(facts: LocalFacts, scene: Scene, summary: Summary, fewest: number | undefined): BandReport {
  const uses = new Map(summary.uses.map((use) => [use.row, use]));
  const title = (row: FacetRow) => rowTitle(row, (key) => facts.index.field(key));
  return {
    band: scene.band,
    shoppers: summary.shoppers,
    heights: scene.measured ? "measured" : "estimated",
    arrived: short(summary.endings.arrived),
    nothingHelps: short(summary.endings["nothing helps"]),
    patience: short(summary.endings.patience),
    moves: spread(summary.moves),
    seconds: spread(summary.seconds),
    px: spread(summary.px),
    fewestMoves: fewest === undefined ? null : short(fewest),
    deadEnds: short(summary.stuck),
    facets: scene.facets.map(({ row }) => {
      const use = uses.get(row.id);
      return {
        row: row.id,
        title: title(row),
        used: short(use?.share ?? 0),
        before: short(use?.before ?? 0),
        after: short(use?.after ?? 0),
        deadEnds: short(use?.deadEnds ?? 0),
      };
    }),
  };
}

import { bin, tickStep } from "d3-array";
import type { Walk } from "../../core/rehearsal/walk.ts";
import { NumberChart } from "../catalogue/number-chart.tsx";

/** The measures of shoppers who find their product. */
export const spreads = {
  moves: { name: "choices", of: ({ moves }: Walk) => moves.length },
  seconds: { name: "seconds", of: ({ seconds }: Walk) => seconds },
  px: { name: "px scrolled", of: ({ px }: Walk) => px },
};
export type SpreadName = keyof typeof spreads;

/** Bars of a chart. */
const bars = 9;

/** The largest value of shoppers who found their product. */
export const maxOf = (walks: readonly Walk[], measure: SpreadName): number =>
  walks.reduce((most, one) => (one.ending === "arrived" ? Math.max(most, spreads[measure].of(one)) : most), 0);

interface Props {
  measure: SpreadName;
  /** Walks of shoppers who found their product. */
  walks: readonly Walk[];
  /** Minimum end of the axis, so that two charts can be compared. */
  end: number;
}

/** The distribution of values, in bars of equal width. */
export function SpreadChart({ measure, walks, end }: Props) {
  const { name, of: value } = spreads[measure];
  const step = Math.max(1, tickStep(0, Math.max(1, end), bars));
  const most = (Math.floor(end / step) + 1) * step;
  const edges = Array.from({ length: Math.round(most / step) + 1 }, (_, at) => at * step);
  const counts = bin<number, number>()
    .domain([0, most])
    .thresholds(edges.slice(1, -1))(walks.map(value))
    .map(({ length }) => length);
  const label = `${name[0]?.toUpperCase()}${name.slice(1)} of those who find it`;
  return (
    <figure>
      <NumberChart
        histogram={{ edges, counts }}
        format={(value) => value.toLocaleString("en")}
        label={label}
        what="shoppers"
        height="h-28"
      />
      <figcaption className="text-center text-[13px] text-quiet">{label}</figcaption>
    </figure>
  );
}

import type { DisplayProps, DisplayView } from "../display-props.ts";
import { RangeList } from "../range-list.tsx";

/** Ranges to choose one of. */
const PriceRanges = (props: DisplayProps) => (
  <RangeList {...props} columns={props.settings.columns} draw={({ label }) => <span class="zt-name">{label}</span>} />
);

export const view: DisplayView = { View: PriceRanges, sheets: ["options.css"] };

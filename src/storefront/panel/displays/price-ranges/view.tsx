import type { DisplayProps } from "../display-props.ts";
import { RangeList } from "../range-list.tsx";

/** Ranges to choose one of. */
export const View = (props: DisplayProps) => (
  <RangeList {...props} columns={props.settings.columns} draw={({ label }) => <span class="zt-name">{label}</span>} />
);

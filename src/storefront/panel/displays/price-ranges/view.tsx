import type { DisplayProps } from "../display-props.ts";
import { RangeList } from "../range-list.tsx";

/** Ranges to choose one of. */
export function View(props: DisplayProps) {
  if (props.ranges.length === 0) return <p class="zt-hint">{props.say("noRanges")}</p>;
  return (
    <RangeList {...props} columns={props.settings.columns} draw={({ label }) => <span class="zt-name">{label}</span>} />
  );
}

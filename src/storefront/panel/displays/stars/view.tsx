import type { DisplayProps } from "../display-props.ts";
import { RangeList } from "../range-list.tsx";

const most = 5;

/** From four stars and up down to one. */
export function View(props: DisplayProps) {
  const { say } = props;
  return (
    <RangeList
      {...props}
      draw={({ range: { min = 0 } }) => (
        <span class="zt-name">
          <span class="zt-stars" aria-hidden="true">
            {"★".repeat(min)}
            <i>{"★".repeat(Math.max(0, most - min))}</i>
          </span>
          <span class="zt-unseen">{say("stars", { n: min })}</span> {say("andUp")}
        </span>
      )}
    />
  );
}

import { maxStars, pointsPerStar } from "../../../../core/catalogue/numbers/stars.ts";
import type { DisplayProps, DisplayView } from "../display-props.ts";
import { RangeList } from "../range-list.tsx";

/** From four stars and up down to one; on a scale of ten points, two make a star. */
function Stars(props: DisplayProps) {
  const { say } = props;
  const points = pointsPerStar(Math.max(0, ...props.ranges.map(({ range: { min = 0 } }) => min)));
  return (
    <RangeList
      {...props}
      draw={({ range: { min = 0 } }) => {
        const stars = Math.min(maxStars, Math.round(min / points));
        return (
          <span class="zt-name">
            <span class="zt-stars" aria-hidden="true">
              {"★".repeat(stars)}
              <i>{"★".repeat(maxStars - stars)}</i>
            </span>
            <span class="zt-unseen">{say("stars", { n: stars })}</span> {say("andUp")}
          </span>
        );
      }}
    />
  );
}

export const view: DisplayView = { View: Stars, sheets: ["options.css", "stars/stars.css"] };

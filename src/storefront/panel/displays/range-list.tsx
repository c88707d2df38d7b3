import type { ComponentChildren } from "preact";
import type { DisplayProps, RangeView } from "./display-props.ts";
import { OptionCount } from "./option-count.tsx";

interface Props extends DisplayProps {
  columns?: number;
  /** Renders a range's label. */
  draw(range: RangeView): ComponentChildren;
}

/** Radio buttons, one per range; a second click removes the choice. */
export function RangeList({ ranges, label, id, columns = 1, choose, draw, say }: Props) {
  const flip = (range: RangeView) => choose(range.chosen ? undefined : range.range);
  return (
    <div
      class="zt-options zt-boxes"
      role="radiogroup"
      aria-label={label}
      data-flow="column"
      data-columns={columns > 1 ? columns : undefined}
      style={{ "--columns": columns > 1 ? columns : undefined }}
    >
      {ranges.map((range, at) => (
        <div key={at}>
          <label class="zt-box" data-faded={range.faded || undefined}>
            <input
              type="radio"
              name={`${id}-range`}
              checked={range.chosen}
              disabled={range.faded}
              onClick={() => range.chosen && flip(range)}
              onChange={() => flip(range)}
            />
            {draw(range)}
            <OptionCount option={range} say={say} />
          </label>
        </div>
      ))}
    </div>
  );
}

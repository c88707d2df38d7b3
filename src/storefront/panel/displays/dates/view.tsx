import type { DisplayProps, DisplayView } from "../display-props.ts";
import { rangeEnds } from "../range-ends.ts";
import { RangeInputs } from "../range-inputs.tsx";

/** From one day to another, both inclusive. */
function Dates(props: DisplayProps) {
  const ends = rangeEnds(props);
  const { format, say } = props;
  if (!ends) return <p class="zt-hint">{say("notStated")}</p>;
  return (
    <div class="zt-range">
      <RangeInputs {...props} ends={ends} />
      <p class="zt-hint">{say("between", { low: format(ends.least), high: format(ends.most) })}</p>
    </div>
  );
}

export const view: DisplayView = { View: Dates, sheets: ["range.css"] };

import type { DisplayProps, DisplayView } from "../display-props.ts";
import { rangeEnds } from "../range-ends.ts";
import { RangeInputs } from "../range-inputs.tsx";

/** Two fields for the ends of a range. */
function NumberInputs(props: DisplayProps) {
  const ends = rangeEnds(props);
  const { format, say, settings } = props;
  if (!ends) return <p class="zt-hint">{say("notStated")}</p>;
  return (
    <div class="zt-range">
      <RangeInputs {...props} ends={ends} />
      {settings.values ? (
        <p class="zt-hint">{say("between", { low: format(ends.least), high: format(ends.most) })}</p>
      ) : null}
    </div>
  );
}

export const view: DisplayView = { View: NumberInputs, sheets: ["range.css"] };

/** @jsxImportSource preact */

import type { DisplayProps } from "../display.ts";
import { endsOf } from "../range-ends.ts";
import { RangeInputs } from "../range-inputs.tsx";

/** From one day to another, both included. */
export function Dates(props: DisplayProps) {
  const ends = endsOf(props);
  if (!ends) return <p class="zt-hint">No product states this.</p>;
  return (
    <div class="zt-range">
      <RangeInputs {...props} ends={ends} />
      <p class="zt-hint">
        {props.format(ends.least)} to {props.format(ends.most)}
      </p>
    </div>
  );
}

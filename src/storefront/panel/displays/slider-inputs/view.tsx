import type { DisplayProps } from "../display-props.ts";
import { rangeEnds } from "../range-ends.ts";
import { RangeInputs } from "../range-inputs.tsx";
import { View as Slider } from "../slider/view.tsx";

/** A slider, and two fields for those who know their numbers. */
export function View(props: DisplayProps) {
  const ends = rangeEnds(props);
  return <Slider {...props}>{ends ? <RangeInputs {...props} ends={ends} /> : null}</Slider>;
}

/** @jsxImportSource preact */
import type { DisplayProps } from "../display.ts";
import { endsOf } from "../range-ends.ts";
import { RangeInputs } from "../range-inputs.tsx";
import { Slider } from "../slider/view.tsx";

/** A slider, and two fields for those who know their numbers. */
export function SliderInputs(props: DisplayProps) {
  const ends = endsOf(props);
  return <Slider {...props}>{ends ? <RangeInputs {...props} ends={ends} /> : null}</Slider>;
}

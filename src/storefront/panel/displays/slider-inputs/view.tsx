import type { DisplayProps, DisplayView } from "../display-props.ts";
import { rangeEnds } from "../range-ends.ts";
import { RangeInputs } from "../range-inputs.tsx";
import { Slider } from "../slider/view.tsx";

/** A slider with two fields for exact numbers. */
function SliderInputs(props: DisplayProps) {
  const ends = rangeEnds(props);
  return <Slider {...props}>{ends ? <RangeInputs {...props} ends={ends} /> : null}</Slider>;
}

export const view: DisplayView = { View: SliderInputs, sheets: ["range.css", "slider/slider.css"] };

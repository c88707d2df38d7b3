import type { DisplayProps, DisplayView } from "../display-props.ts";
import { BoxOption } from "../option-input.tsx";
import { OptionList, type OptionProps } from "../option-list.tsx";
import { logosOf, Swatch } from "../swatch.tsx";

/** Check boxes with a swatch beside the text. */
const SwatchBoxes = (props: DisplayProps) => (
  <OptionList {...props} class={`zt-boxes${logosOf(props)}`} Option={SwatchBox} />
);

function SwatchBox(props: OptionProps) {
  return (
    <BoxOption {...props}>
      <Swatch swatch={props.option.swatch} settings={props.settings} class="zt-chip-dot" />
    </BoxOption>
  );
}

export const view: DisplayView = {
  View: SwatchBoxes,
  sheets: ["options.css", "swatch.css", "swatch-boxes/swatch-boxes.css"],
};

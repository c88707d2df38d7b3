/** @jsxImportSource preact */
import type { DisplayProps } from "../display.ts";
import { OptionCount } from "../option-count.tsx";
import { OptionInput } from "../option-input.tsx";
import { OptionList, type OptionProps } from "../option-list.tsx";
import { Swatch } from "../swatch.tsx";

/** Round swatches; a value without a known colour shows its text, never a blank dot. Three take the room of one check box. */
export function Swatches(props: DisplayProps) {
  const hinted = props.settings.caption === "hint";
  return <OptionList {...props} class="zt-swatches" dense={hinted ? 3 : 1} inRow={props.settings.caption !== "beside"} Option={SwatchOption} />;
}

function SwatchOption({ row, settings: { caption }, option, toggle }: OptionProps) {
  const named = caption !== "hint";
  return (
    <label
      class="zt-swatch"
      data-caption={caption}
      data-faded={option.faded || undefined}
      title={option.count === undefined ? option.label : `${option.label} · ${option.count}`}
    >
      <OptionInput row={row} option={option} toggle={toggle} />
      {option.colours || named ? <Swatch colours={option.colours} class="zt-dot" /> : <span class="zt-dot-text">{option.label}</span>}
      <span class={named ? "zt-name" : "zt-unseen"}>
        {option.colours || named ? option.label : null} <OptionCount option={option} />
      </span>
    </label>
  );
}

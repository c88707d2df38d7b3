import { densityOf } from "../../../../core/displays/shop-facts.ts";
import type { DisplayProps, DisplayView } from "../display-props.ts";
import { OptionCount } from "../option-count.tsx";
import { OptionInput } from "../option-input.tsx";
import { OptionList, type OptionProps } from "../option-list.tsx";
import { logosOf, paint, Swatch, spokenName, swatchStyle } from "../swatch.tsx";

/** Swatches; a value without a known colour shows its text. Three fit in the space of one check box. */
function Swatches(props: DisplayProps) {
  const { caption } = props.settings;
  return (
    <div style={swatchStyle(props.settings)}>
      <OptionList
        {...props}
        class={`zt-swatches${logosOf(props)}`}
        dense={densityOf("swatches", props.settings)}
        inRow={caption !== "beside"}
        Option={SwatchOption}
      />
    </div>
  );
}

function SwatchOption({ row, name, settings, option, toggle, say }: OptionProps) {
  const { swatch, label, count } = option;
  const caption = settings.caption === "on" && !swatch?.colours ? "hint" : settings.caption;
  const named = caption === "beside" || caption === "under";
  const drawn = swatch || named;
  const number = <OptionCount option={option} say={say} />;
  return (
    <label
      class="zt-swatch"
      data-caption={caption}
      data-faded={option.faded || undefined}
      title={count === undefined ? label : `${label} · ${say.number(count)}`}
      style={{ "--mark": swatch?.mark }}
    >
      <OptionInput row={row} name={name} option={option} toggle={toggle} />
      {caption === "on" && swatch ? (
        <span class="zt-dot-on" data-painted="" style={{ "--paint": paint(swatch) }}>
          {swatch.plate ? <span class="zt-plate">{label}</span> : label}
        </span>
      ) : drawn ? (
        <Swatch swatch={swatch} settings={settings} class="zt-dot" />
      ) : (
        <span class="zt-dot-text">{label}</span>
      )}
      <span class={named ? "zt-name" : "zt-unseen"}>
        {drawn && caption !== "on" ? spokenName(option) : null} {named ? number : null}
      </span>
      {named ? null : number}
    </label>
  );
}

export const view: DisplayView = { View: Swatches, sheets: ["options.css", "swatch.css", "swatches/swatches.css"] };

import { densityOf } from "../../../../core/displays/shop-facts.ts";
import type { DisplayProps, DisplayView } from "../display-props.ts";
import { OptionCount } from "../option-count.tsx";
import { OptionInput } from "../option-input.tsx";
import { OptionList, type OptionProps } from "../option-list.tsx";
import { Swatch, spokenName, swatchStyle } from "../swatch.tsx";

/** Tiles with pictures or logos, with or without text; a value without a picture shows its colours or its name. */
function PictureTiles(props: DisplayProps) {
  const beside = props.settings.caption === "beside";
  return (
    <div style={swatchStyle(props.settings)}>
      <OptionList
        {...props}
        class="zt-pictures"
        dense={densityOf("picture-tiles", props.settings)}
        inRow={!beside}
        Option={PictureTile}
      />
    </div>
  );
}

function PictureTile({ row, name, settings, option, toggle, say }: OptionProps) {
  const caption = settings.caption === "on" ? "under" : settings.caption;
  const named = caption !== "hint";
  const number = <OptionCount option={option} say={say} />;
  return (
    <label
      class="zt-picture-tile"
      data-caption={caption}
      data-faded={option.faded || undefined}
      data-chosen={option.chosen || undefined}
      title={
        named ? undefined : option.count === undefined ? option.label : `${option.label} · ${say.number(option.count)}`
      }
    >
      <OptionInput row={row} name={name} option={option} toggle={toggle} />
      {option.swatch ? (
        <Swatch swatch={option.swatch} settings={settings} class="zt-picture" />
      ) : (
        <span class="zt-picture zt-initials" aria-hidden={named || undefined}>
          {named ? initials(option.label) : option.label}
        </span>
      )}
      <span class={named ? "zt-name" : "zt-unseen"}>
        {named || option.swatch ? (option.swatch?.picture && !named ? spokenName(option) : option.label) : null}{" "}
        {named ? number : null}
      </span>
      {named ? null : number}
    </label>
  );
}

/** The initials of the first two words, for a brand without a logo. */
const initials = (label: string): string =>
  label
    .split(/\s+/)
    .filter((word) => /^[\p{L}\p{N}]/u.test(word))
    .slice(0, 2)
    .map((word) => [...word][0] ?? "")
    .join("")
    .toUpperCase();

export const view: DisplayView = {
  View: PictureTiles,
  sheets: ["options.css", "swatch.css", "picture-tiles/picture-tiles.css"],
};

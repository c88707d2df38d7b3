import { densityOf } from "../../../../core/displays/shop-facts.ts";
import type { DisplayProps, DisplayView } from "../display-props.ts";
import { OptionCount } from "../option-count.tsx";
import { OptionInput } from "../option-input.tsx";
import { OptionList, type OptionProps } from "../option-list.tsx";

/** Short texts in boxes, such as sizes. Two fit in the space of one check box. */
const Tiles = (props: DisplayProps) => (
  <OptionList {...props} class="zt-tiles" dense={densityOf("tiles", props.settings)} inRow Option={Tile} />
);

/** An option as a box, with its input covering it. */
export function Tile({ row, name, option, toggle, say }: OptionProps) {
  return (
    <label class="zt-tile" data-faded={option.faded || undefined} data-chosen={option.chosen || undefined}>
      <OptionInput row={row} name={name} option={option} toggle={toggle} />
      <span class="zt-name">{option.label}</span>
      <OptionCount option={option} say={say} />
    </label>
  );
}

export const view: DisplayView = { View: Tiles, sheets: ["options.css", "tiles/tiles.css"] };

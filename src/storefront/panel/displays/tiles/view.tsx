import { denseOf } from "../../../../core/displays/dense.ts";
import type { DisplayProps } from "../display-props.ts";
import { OptionCount } from "../option-count.tsx";
import { OptionInput } from "../option-input.tsx";
import { OptionList, type OptionProps } from "../option-list.tsx";

/** Short texts in boxes, such as sizes. Two of them take the room of one check box. */
export const View = (props: DisplayProps) => (
  <OptionList {...props} class="zt-tiles" dense={denseOf("tiles", props.settings)} inRow Option={Tile} />
);

/** An option as a box of its own, with the input lying over it. */
export function Tile({ row, name, option, toggle, say }: OptionProps) {
  return (
    <label class="zt-tile" data-faded={option.faded || undefined} data-chosen={option.chosen || undefined}>
      <OptionInput row={row} name={name} option={option} toggle={toggle} />
      <span class="zt-name">{option.label}</span>
      <OptionCount option={option} say={say} />
    </label>
  );
}

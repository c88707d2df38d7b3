import type { DisplayProps } from "../display-props.ts";
import { OptionList } from "../option-list.tsx";
import { Tile } from "../tiles/view.tsx";

/** A bar of buttons that stay pressed. */
export const View = (props: DisplayProps) => (
  <OptionList {...props} settings={{ ...props.settings, foldAfter: 0 }} class="zt-toggles" inRow Option={Tile} />
);

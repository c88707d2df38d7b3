import type { DisplayProps, DisplayView } from "../display-props.ts";
import { OptionList } from "../option-list.tsx";
import { Tile } from "../tiles/view.tsx";

/** A bar of toggle buttons. */
const Toggles = (props: DisplayProps) => (
  <OptionList {...props} settings={{ ...props.settings, foldAfter: 0 }} class="zt-toggles" inRow Option={Tile} />
);

export const view: DisplayView = { View: Toggles, sheets: ["options.css", "tiles/tiles.css", "toggles/toggles.css"] };

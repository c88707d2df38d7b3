import { denseOf } from "../../../../core/displays/dense.ts";
import type { DisplayProps } from "../display-props.ts";
import { OptionList } from "../option-list.tsx";
import { Tile } from "../tiles/view.tsx";

/** Words that wrap like a sentence. */
export const View = (props: DisplayProps) => (
  <OptionList {...props} class="zt-tags" dense={denseOf("tags", props.settings)} inRow Option={Tile} />
);

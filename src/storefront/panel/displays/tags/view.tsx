import { densityOf } from "../../../../core/displays/shop-facts.ts";
import type { DisplayProps, DisplayView } from "../display-props.ts";
import { OptionList } from "../option-list.tsx";
import { Tile } from "../tiles/view.tsx";

/** Words that wrap like a sentence. */
const Tags = (props: DisplayProps) => (
  <OptionList {...props} class="zt-tags" dense={densityOf("tags", props.settings)} inRow Option={Tile} />
);

export const view: DisplayView = { View: Tags, sheets: ["options.css", "tiles/tiles.css", "tags/tags.css"] };

import type { DisplayName } from "../../../core/displays/displays.ts";
import { View as CheckBoxes } from "./check-boxes/view.tsx";
import { View as Dates } from "./dates/view.tsx";
import type { DisplayView } from "./display-props.ts";
import { View as Dropdown } from "./dropdown/view.tsx";
import { View as NumberInputs } from "./number-inputs/view.tsx";
import { View as PictureTiles } from "./picture-tiles/view.tsx";
import { View as PlainList } from "./plain-list/view.tsx";
import { View as PriceRanges } from "./price-ranges/view.tsx";
import { View as SearchField } from "./search-field/view.tsx";
import { View as Slider } from "./slider/view.tsx";
import { View as SliderInputs } from "./slider-inputs/view.tsx";
import { View as Stars } from "./stars/view.tsx";
import { View as SwatchBoxes } from "./swatch-boxes/view.tsx";
import { View as Swatches } from "./swatches/view.tsx";
import { View as Switch } from "./switch/view.tsx";
import { View as Tags } from "./tags/view.tsx";
import { View as Tiles } from "./tiles/view.tsx";
import { View as Toggles } from "./toggles/view.tsx";
import { View as Tree } from "./tree/view.tsx";
import { putView } from "./views.ts";

const all: Readonly<Record<DisplayName, DisplayView>> = {
  "check-boxes": CheckBoxes,
  "radio-buttons": CheckBoxes,
  "swatch-boxes": SwatchBoxes,
  swatches: Swatches,
  "picture-tiles": PictureTiles,
  tiles: Tiles,
  tags: Tags,
  toggles: Toggles,
  "plain-list": PlainList,
  tree: Tree,
  dropdown: Dropdown,
  "search-field": SearchField,
  switch: Switch,
  slider: Slider,
  "slider-inputs": SliderInputs,
  "number-inputs": NumberInputs,
  "price-ranges": PriceRanges,
  stars: Stars,
  dates: Dates,
};

/** Makes every view known at once: for the server, the studio and the stage, where any of them can be wanted. */
export function putAllViews(): void {
  for (const [name, view] of Object.entries(all)) putView(name as DisplayName, view);
}

import type { DisplayName } from "../../../core/displays/displays.ts";
import { view as checkBoxes } from "./check-boxes/view.tsx";
import { view as dates } from "./dates/view.tsx";
import type { DisplayView } from "./display-props.ts";
import { view as dropdown } from "./dropdown/view.tsx";
import { view as numberInputs } from "./number-inputs/view.tsx";
import { view as pictureTiles } from "./picture-tiles/view.tsx";
import { view as plainList } from "./plain-list/view.tsx";
import { view as priceRanges } from "./price-ranges/view.tsx";
import { view as radioButtons } from "./radio-buttons/view.tsx";
import { view as searchField } from "./search-field/view.tsx";
import { view as slider } from "./slider/view.tsx";
import { view as sliderInputs } from "./slider-inputs/view.tsx";
import { view as stars } from "./stars/view.tsx";
import { view as swatchBoxes } from "./swatch-boxes/view.tsx";
import { view as swatches } from "./swatches/view.tsx";
import { view as yesNoSwitch } from "./switch/view.tsx";
import { view as tags } from "./tags/view.tsx";
import { view as tiles } from "./tiles/view.tsx";
import { view as toggles } from "./toggles/view.tsx";
import { view as tree } from "./tree/view.tsx";
import { putView } from "./views.ts";

/** The view of each display. */
export const displayViews: Readonly<Record<DisplayName, DisplayView>> = {
  "check-boxes": checkBoxes,
  "radio-buttons": radioButtons,
  "swatch-boxes": swatchBoxes,
  swatches,
  "picture-tiles": pictureTiles,
  tiles,
  tags,
  toggles,
  "plain-list": plainList,
  tree,
  dropdown,
  "search-field": searchField,
  switch: yesNoSwitch,
  slider,
  "slider-inputs": sliderInputs,
  "number-inputs": numberInputs,
  "price-ranges": priceRanges,
  stars,
  dates,
};

/** Registers every view: for the server, the studio and the stage, where any may be needed. */
export function putAllViews(): void {
  for (const [name, view] of Object.entries(displayViews)) putView(name as DisplayName, view);
}

import type { DisplayName } from "../../core/panel/document.ts";
import { bands } from "./bands/definition.ts";
import { checkBoxes } from "./check-boxes/definition.ts";
import { dates } from "./dates/definition.ts";
import type { Display } from "./display.ts";
import { dropdown } from "./dropdown/definition.ts";
import { numberInputs } from "./number-inputs/definition.ts";
import { pictureTiles } from "./picture-tiles/definition.ts";
import { plainList } from "./plain-list/definition.ts";
import { radioButtons } from "./radio-buttons/definition.ts";
import { searchField } from "./search-field/definition.ts";
import { slider } from "./slider/definition.ts";
import { sliderInputs } from "./slider-inputs/definition.ts";
import { stars } from "./stars/definition.ts";
import { swatchBoxes } from "./swatch-boxes/definition.ts";
import { swatches } from "./swatches/definition.ts";
import { yesNoSwitch } from "./switch/definition.ts";
import { tags } from "./tags/definition.ts";
import { tiles } from "./tiles/definition.ts";
import { toggles } from "./toggles/definition.ts";
import { tree } from "./tree/definition.ts";

/** Every display, in the order in which the designer is offered them. */
export const displays: Record<DisplayName, Display> = {
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
  bands,
  stars,
  dates,
};

import { checkBoxes } from "./check-boxes.ts";
import { dates } from "./dates.ts";
import type { Display } from "./display.ts";
import { dropdown } from "./dropdown.ts";
import { numberInputs } from "./number-inputs.ts";
import { pictureTiles } from "./picture-tiles.ts";
import { plainList } from "./plain-list.ts";
import { priceRanges } from "./price-ranges.ts";
import { radioButtons } from "./radio-buttons.ts";
import { searchField } from "./search-field.ts";
import { slider } from "./slider.ts";
import { sliderInputs } from "./slider-inputs.ts";
import { stars } from "./stars.ts";
import { swatchBoxes } from "./swatch-boxes.ts";
import { swatches } from "./swatches.ts";
import { yesNoSwitch } from "./switch.ts";
import { tags } from "./tags.ts";
import { tiles } from "./tiles.ts";
import { toggles } from "./toggles.ts";
import { tree } from "./tree.ts";

const list = {
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

/** The definitions with their literal types. */
export type Displays = typeof list;

/** The name of a display, in documents and as the folder of its view. */
export type DisplayName = keyof Displays;

/** Every display by its name, in the order in which the designer is offered them. */
export const displays: Readonly<Record<DisplayName, Display>> = list;

/** The names of all displays, in the same order. */
export const displayNames = Object.keys(list) as DisplayName[];

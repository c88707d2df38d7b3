import type { DisplayName } from "../../core/panel/document.ts";
import { checkBoxes } from "./check-boxes/definition.ts";
import type { Display } from "./display.ts";
import { dropdown } from "./dropdown/definition.ts";
import { slider } from "./slider/definition.ts";
import { swatches } from "./swatches/definition.ts";
import { tiles } from "./tiles/definition.ts";
import { tree } from "./tree/definition.ts";

/** Every display, in the order in which the designer is offered them. */
export const displays: Record<DisplayName, Display> = {
  "check-boxes": checkBoxes,
  swatches,
  tiles,
  dropdown,
  slider,
  tree,
};

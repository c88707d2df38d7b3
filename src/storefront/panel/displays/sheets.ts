import type { DisplayName } from "../../../core/displays/displays.ts";

/** Style sheets in this folder that each display is drawn with, in the order in which they hold. */
export const sheets: Readonly<Record<DisplayName, readonly string[]>> = {
  "check-boxes": ["options.css"],
  "radio-buttons": ["options.css"],
  "swatch-boxes": ["options.css", "swatch.css", "swatch-boxes/swatch-boxes.css"],
  swatches: ["options.css", "swatch.css", "swatches/swatches.css"],
  "picture-tiles": ["options.css", "swatch.css", "picture-tiles/picture-tiles.css"],
  tiles: ["options.css", "tiles/tiles.css"],
  tags: ["options.css", "tiles/tiles.css", "tags/tags.css"],
  toggles: ["options.css", "tiles/tiles.css", "toggles/toggles.css"],
  "plain-list": ["options.css", "plain-list/plain-list.css"],
  tree: ["options.css", "tree/tree.css"],
  dropdown: ["options.css", "dropdown/dropdown.css"],
  "search-field": ["options.css"],
  switch: ["switch/switch.css"],
  slider: ["range.css", "slider/slider.css"],
  "slider-inputs": ["range.css", "slider/slider.css"],
  "number-inputs": ["range.css"],
  "price-ranges": ["options.css"],
  stars: ["options.css", "stars/stars.css"],
  dates: ["range.css"],
};

/** The folder that a display's view stands in. Boxes are radio buttons wherever only one can be chosen. */
export const folderOf = (name: DisplayName): string => (name === "radio-buttons" ? "check-boxes" : name);

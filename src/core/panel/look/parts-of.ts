import type { DisplayName } from "../../displays/displays.ts";
import { bands, resolve } from "../../settings/band.ts";
import type { FacetRow } from "../panel-schema.ts";

const list = ["option", "count"];
const searched = [...list, "field"];

/** The parts that a display is made of, the one that makes most of it first. */
export const partsOfDisplay: Readonly<Record<DisplayName, readonly string[]>> = {
  "check-boxes": ["box", ...searched],
  "radio-buttons": ["box", ...searched],
  "swatch-boxes": ["box", ...searched, "swatch"],
  swatches: ["swatch", "option", "count", "field"],
  "picture-tiles": ["picture", "count", "field"],
  tiles: ["tile", "count", "field"],
  tags: ["tag", "tile", "count", "field"],
  toggles: ["toggle", "tile", "count"],
  "plain-list": ["plain", ...searched],
  tree: ["box", "tree", ...list],
  dropdown: ["field", "menu", "box", ...list],
  "search-field": ["field", "box", ...list, "hint"],
  switch: ["switch", ...list],
  slider: ["slider", "hint"],
  "slider-inputs": ["slider", "field", "hint"],
  "number-inputs": ["field", "hint"],
  "price-ranges": ["box", ...list],
  stars: ["stars", "box", ...list],
  dates: ["field"],
};

/** The parts of a facet on all bands: its display's, its title, and what all of them are made from. */
export const partsOfFacet = ({ display }: Pick<FacetRow, "display">): string[] => [
  ...new Set([
    ...bands.flatMap((band) => partsOfDisplay[resolve(display, band)]),
    "title",
    "tip",
    "link",
    "ink",
    "ground",
    "accent",
    "line",
    "focus",
    "text",
    "radius",
  ]),
];

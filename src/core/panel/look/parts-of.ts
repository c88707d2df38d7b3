import { displays } from "../../displays/displays.ts";
import { bands, resolve } from "../../settings/band.ts";
import type { FacetRow } from "../panel-schema.ts";

/** The parts of a facet on all bands: its display's, its title, and what all of them are made from. */
export const partsOfFacet = ({ display }: Pick<FacetRow, "display">): string[] => [
  ...new Set([
    ...bands.flatMap((band) => displays[resolve(display, band)].parts),
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

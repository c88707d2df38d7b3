import { choice, colour, inner, type LookPart, length, lineStyles, on, optionStates, own, weight } from "../part.ts";
import { besideName, placed } from "./count-place.ts";

/** Options as blocks with text. */
export const tileParts = {
  tile: {
    label: "Tile",
    group: "Options",
    at: ".zt-tile",
    states: optionStates,
    properties: {
      ground: colour(
        "Background",
        { rest: "{ground}", hovered: "{ground.tint}", chosen: "{accent}", unavailable: "#ffffff00" },
        own("background-color"),
      ),
      ink: colour("Text", { rest: "{ink}", chosen: "{accent.ink}", unavailable: "{ink.faded}" }, own("color")),
      edge: colour("Border", { rest: "{line.edge}", chosen: "{accent}" }, own("outline-color")),
      "edge-width": length("Border width", { rest: "{line.width}" }, own("outline-width", "--edge-line"), {
        max: 12,
        step: 0.5,
      }),
      style: choice("Border line", { rest: "solid", unavailable: "dashed" }, lineStyles, own("outline-style")),
      radius: length("Corner radius", "{radius}", own("border-radius")),
      padding: length("Padding", "{space.l}", own("padding-inline")),
      width: length("Minimum width", "{height.touch}", own("min-width")),
      height: length("Minimum height", { rest: { wide: "{height.tile}", slim: "{height.touch}" } }, own("min-height")),
      gap: length("Space before the count", "{space.s}", own("gap")),
      room: length("Space between tiles", "{space.m}", on(".zt-tiles", "--gap")),
      size: length("Size", "{text.size}", own("font-size")),
      weight: weight("Weight", { rest: "{text.weight}" }, own("font-weight")),
      count: colour("Count", { rest: "{count.ink}", chosen: "{accent.ink}" }, inner(".zt-count", "color")),
      "count-place": choice("Count position", "beside the name", besideName(), placed(".zt-tile .zt-count")),
    },
    judged: [
      { of: "ink", on: "ground", as: "text", size: "size", weight: "weight" },
      { of: "count", on: "ground", as: "text" },
      { of: "edge", or: "ground", as: "control" },
    ],
  },
  tag: {
    label: "Tag",
    group: "Options",
    at: ".zt-tags .zt-tile",
    states: optionStates,
    properties: {
      ground: colour("Background", { rest: "{ground.tint}", chosen: "{accent}" }, own("background-color")),
      ink: colour("Text", { rest: "{ink}", chosen: "{accent.ink}", unavailable: "{ink.faded}" }, own("color")),
      edge: colour(
        "Border",
        { rest: "#ffffff00", hovered: "{line.edge}", chosen: "{accent}", unavailable: "{line}" },
        own("outline-color"),
      ),
      radius: length("Corner radius", "{radius.round}", own("border-radius")),
      padding: length("Padding", "{space.xl}", own("padding-inline")),
      height: length("Minimum height", { rest: { wide: "{height.small}", slim: "{height.touch}" } }, own("min-height")),
      room: length("Space between tags", "{space.s}", on(".zt-tags", "--gap")),
      size: length("Size", "{text.note}", own("font-size")),
      count: colour("Count", { rest: "{ink.quiet}", chosen: "{accent.ink}" }, inner(".zt-count", "color")),
    },
    judged: [
      { of: "ink", on: "ground", as: "text", size: "size" },
      { of: "count", on: "ground", as: "text" },
    ],
  },
  toggle: {
    label: "Toggle",
    group: "Options",
    at: ".zt-toggles .zt-tile",
    states: optionStates,
    properties: {
      ground: colour(
        "Background",
        { rest: "{tile.ground}", hovered: "{tile.ground.hovered}", chosen: "{tile.ground.chosen}" },
        own("background-color"),
      ),
      ink: colour(
        "Text",
        { rest: "{tile.ink}", chosen: "{tile.ink.chosen}", unavailable: "{tile.ink.unavailable}" },
        own("color"),
      ),
      edge: colour("Border", { rest: "{tile.edge}", chosen: "{tile.edge.chosen}" }, own("outline-color")),
      radius: length("Corner radius", "{radius}", on(".zt-toggles", "--corner")),
      height: length("Minimum height", { rest: { wide: "{height.tile}", slim: "{height.touch}" } }, own("min-height")),
    },
    judged: [
      { of: "ink", on: "ground", as: "text" },
      { of: "edge", or: "ground", as: "control" },
    ],
  },
} as const satisfies Record<string, LookPart>;

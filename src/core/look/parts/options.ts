import {
  choice,
  colour,
  decorations,
  inner,
  type LookPart,
  length,
  lineStyles,
  number,
  on,
  optionStates,
  own,
  picture,
  weight,
} from "../part.ts";
import { besideName, cornerCount, corners, inLine, inOption, placed } from "./count-place.ts";

const ticks = {
  tick: "polygon(14% 44%, 0 62%, 40% 100%, 100% 20%, 82% 6%, 37% 68%)",
  cross:
    "polygon(20% 6%, 50% 36%, 80% 6%, 94% 20%, 64% 50%, 94% 80%, 80% 94%, 50% 64%, 20% 94%, 6% 80%, 36% 50%, 6% 20%)",
  dot: "circle(38%)",
  square: "inset(10%)",
  bar: "inset(40% 5%)",
  none: "polygon(0 0, 0 0, 0 0)",
} as const;

/** Properties of a box that a picture replaces. */
const underPicture = { under: "picture" } as const;
/**
 * Corners of a swatch, as the sum of its possible definitions: a share of its size, a length in px, or an own share.
 */
const anySwatch = ":is(.zt-dot, .zt-chip-dot)";
const swatchCorners = {
  round: { "": "50%", "-px": "0", "-share": "0" },
  soft: { "": "28%", "-px": "0", "-share": "0" },
  square: { "": "8%", "-px": "0", "-share": "0" },
  "in px": { "": "0%", "-px": "1", "-share": "0" },
  "in %": { "": "0%", "-px": "0", "-share": "1" },
};

/** One option in each of its shapes. */
export const optionLookParts = {
  option: {
    label: "Option",
    group: "Options",
    at: ":is(.zt-box, .zt-plain-option, .zt-switch)",
    states: optionStates,
    properties: {
      ink: colour("Text", { rest: "{ink}", unavailable: "{ink.faded}" }, own("color")),
      ground: colour("Background", { rest: "#ffffff00" }, own("background-color")),
      edge: colour("Border", { rest: "#ffffff00" }, own("border-color")),
      "edge-width": length("Border width", 0, own("border-width"), { max: 12, step: 0.5 }),
      radius: length("Corner radius", "{radius.small}", own("border-radius")),
      padding: length("Padding", 0, own("padding-inline")),
      height: length("Minimum height", { rest: { wide: "{height.row}", slim: "{height.touch}" } }, own("min-height")),
      gap: length("Space between box and text", "{space.l}", own("gap")),
      size: length("Size", "{text.size}", own("font-size")),
      weight: weight("Weight", { rest: "{text.weight}" }, own("font-weight")),
      line: choice(
        "Line",
        { rest: "none", hovered: "underline", unavailable: "none" },
        decorations,
        inner(".zt-name", "text-decoration-line"),
      ),
    },
    judged: [{ of: "ink", on: "ground", as: "text", size: "size", weight: "weight" }],
  },
  box: {
    label: "Box and tick",
    group: "Options",
    at: ".zt-box",
    states: optionStates,
    properties: {
      size: length("Size", { wide: 18, slim: 22 }, inner("> input", "width", "height"), { min: 8, max: 60 }),
      radius: length("Corner radius", "{radius.small}", on(".zt-box > input[type=checkbox]", "border-radius")),
      ground: colour(
        "Background",
        { rest: "{ground}", chosen: "{accent}" },
        inner("> input", "background-color"),
        underPicture,
      ),
      edge: colour(
        "Border",
        { rest: "{line.edge}", hovered: "{accent}", chosen: "{accent}", unavailable: "{line}" },
        inner("> input", "border-color"),
        underPicture,
      ),
      "edge-width": length("Border width", { rest: 1.5 }, inner("> input", "border-width", "--edge-line"), {
        max: 12,
        step: 0.5,
      }),
      tick: choice("Tick", "tick", ticks, on(".zt-box > input[type=checkbox]::before", "clip-path")),
      "tick-ink": colour(
        "Tick colour",
        { rest: "#ffffff00", chosen: "{accent.ink}" },
        inner("> input::before", "background-color"),
        underPicture,
      ),
      picture: picture("Picture in place of box and tick", { rest: "" }, inner("> input::after", "background-image")),
    },
    judged: [
      { of: "edge", or: "ground", as: "control" },
      { of: "tick-ink", on: "ground", as: "control" },
    ],
  },
  plain: {
    label: "Plain option",
    group: "Options",
    at: ".zt-plain-option",
    states: optionStates,
    properties: {
      weight: weight("Weight", { rest: "{text.weight}", chosen: 700 }, inner(".zt-name", "font-weight")),
      line: choice(
        "Line",
        { rest: "none", hovered: "underline", unavailable: "through" },
        decorations,
        inner(".zt-name", "text-decoration-line"),
      ),
      mark: choice(
        "Mark of the chosen option",
        "tick",
        { tick: '"✓ "', dot: '"• "', arrow: '"→ "', none: '""' },
        on(".zt-plain-option:has(:checked) .zt-name::before", "content"),
      ),
    },
  },
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
  swatch: {
    label: "Swatch",
    group: "Options",
    at: ".zt-swatch",
    states: optionStates,
    properties: {
      size: length("Size", { wide: 26, slim: 36 }, on(".zt-swatches", "--dot"), { min: 8, max: 120 }),
      gap: length("Space between swatches", { wide: 10, slim: 2 }, on(".zt-swatches", "--gap")),
      round: choice("Corner radius", "round", swatchCorners, [
        [anySwatch, "--corner"],
        [anySwatch, "--corner-px", "-px"],
        [anySwatch, "--corner-share", "-share"],
      ]),
      radius: length("Corner radius in px", 6, on(anySwatch, "--corner-radius"), { max: 60 }),
      share: number("Corner radius in %", 12, on(anySwatch, "--corner-percent"), { max: 50, step: 1 }),
      ring: colour("Ring", { rest: "#ffffff00", hovered: "{line.edge}", chosen: "{ink}" }, own("--ring")),
      "ring-width": length("Ring width", { rest: 0, hovered: 1, chosen: 2 }, own("--ring-width"), {
        max: 12,
        step: 0.5,
      }),
      "ring-gap": length("Ring offset", 2, on(".zt-swatches", "--ring-gap"), { max: 12 }),
      ink: colour("Text", { rest: "{ink}", unavailable: "{ink.faded}" }, own("color")),
      edge: colour("Outline", "#0000003d", on(".zt-dot-on", "border-color")),
      "edge-width": length("Outline width", "{line.width}", on(".zt-dot-on", "border-width"), { max: 12, step: 0.5 }),
      "name-ground": colour(
        "Background of a name in its place",
        { rest: "{ground}", chosen: "{accent}" },
        inner(".zt-dot-text", "background-color"),
      ),
      "name-ink": colour(
        "Name in place of a swatch",
        { rest: "{ink}", chosen: "{accent.ink}", unavailable: "{ink.faded}" },
        inner(".zt-dot-text", "color"),
      ),
      "name-edge": colour(
        "Outline of a name in its place",
        { rest: "{line.edge}", chosen: "{accent}" },
        inner(".zt-dot-text", "border-color"),
      ),
      ...cornerCount(".zt-swatch"),
      through: colour(
        "Strike line of unavailable options",
        "{ink}",
        on(".zt-swatch[data-faded]::after", "border-top-color"),
      ),
    },
    judged: [
      { of: "ink", as: "text" },
      { of: "name-ink", on: "name-ground", as: "text" },
      { of: "count-ink", on: "count-ground", as: "text" },
      { of: "ring", as: "control" },
    ],
  },
  picture: {
    label: "Picture tile",
    group: "Options",
    at: ".zt-picture-tile",
    states: optionStates,
    properties: {
      ground: colour("Background", { rest: "{ground}" }, own("background-color")),
      ink: colour("Text", { rest: "{ink}", unavailable: "{ink.faded}" }, own("color")),
      edge: colour("Border", { rest: "{line}", hovered: "{line.edge}", chosen: "{accent}" }, own("outline-color")),
      "edge-width": length(
        "Border width",
        { rest: "{line.width}", chosen: "{line.strong}" },
        own("outline-width", "--edge-line"),
        { max: 12, step: 0.5 },
      ),
      style: choice("Border line", { rest: "solid", unavailable: "dashed" }, lineStyles, own("outline-style")),
      radius: length("Corner radius", "{radius}", own("border-radius")),
      padding: length("Padding", "{space.xs}", own("padding")),
      size: length("Picture size", 40, on(".zt-pictures", "--size"), { min: 16, max: 200 }),
      gap: length("Space between tiles", "{space.m}", on(".zt-pictures", "--gap")),
      words: length("Text size", "{text.small}", on('.zt-picture-tile[data-caption="under"]', "font-size")),
      ...cornerCount(".zt-picture-tile"),
      initials: colour("Background of initials", "{ground.tint}", on(".zt-initials", "background-color")),
    },
    judged: [
      { of: "ink", on: "ground", as: "text", size: "words" },
      { of: "count-ink", on: "count-ground", as: "text" },
    ],
  },
  count: {
    label: "Count",
    group: "Options",
    at: ".zt-count",
    properties: {
      ink: colour("Text", "{ink.quiet}", own("color")),
      size: length("Size", "{text.small}", own("font-size")),
      weight: weight("Weight", "{text.weight}", own("font-weight")),
      ground: colour("Background", "#ffffff00", own("background-color")),
      edge: colour("Border", "#ffffff00", own("border-color")),
      "edge-width": length("Border width", 0, own("border-width"), { max: 6, step: 0.5 }),
      radius: length("Corner radius", "{radius.round}", own("border-radius")),
      padding: length("Padding", 0, own("padding-inline")),
      place: choice("Position", "right edge", { "right edge": inLine("auto"), after: inLine("0px"), ...corners() }, [
        [inOption, "margin-inline-start"],
        ...placed(inOption),
      ]),
    },
    judged: [{ of: "ink", on: "ground", as: "text", size: "size", weight: "weight" }],
  },
} as const satisfies Record<string, LookPart>;

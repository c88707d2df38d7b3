import { choice, colour, inner, type LookPart, length, lineStyles, number, on, optionStates, own } from "../part.ts";
import { cornerCount } from "./count-place.ts";

const anySwatch = ":is(.zt-dot, .zt-chip-dot)";

/**
 * Corners of a swatch, as the sum of its possible definitions: a share of its size, a length in px, or an own share.
 */
const swatchCorners = {
  round: { "": "50%", "-px": "0", "-share": "0" },
  soft: { "": "28%", "-px": "0", "-share": "0" },
  square: { "": "8%", "-px": "0", "-share": "0" },
  "in px": { "": "0%", "-px": "1", "-share": "0" },
  "in %": { "": "0%", "-px": "0", "-share": "1" },
};

/** Options as colours and pictures. */
export const swatchParts = {
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
} as const satisfies Record<string, LookPart>;

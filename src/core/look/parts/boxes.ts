import {
  choice,
  colour,
  decorations,
  inner,
  type LookPart,
  length,
  on,
  optionStates,
  own,
  picture,
  weight,
} from "../part.ts";

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

/** An option in a line: its box and tick, or its text alone. */
export const boxParts = {
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
} as const satisfies Record<string, LookPart>;

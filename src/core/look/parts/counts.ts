import { choice, colour, type LookPart, length, own, weight } from "../part.ts";
import { corners, inLine, inOption, placed } from "./count-place.ts";

/** The number beside an option. */
export const countParts = {
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

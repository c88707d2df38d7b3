import { choice, colour, type Effect, length, on } from "../part.ts";

/** The counts of options with text in a line. */
export const inOption = ":is(.zt-box, .zt-plain-option, .zt-switch) .zt-count";

/**
 * A count in a corner of its option, by the suffixes of the properties that a place writes.
 * @param from distance from the option's edges; negative values reach out, so that less is covered
 */
const corner = (block: "top" | "bottom", inline: "start" | "end", from: string) => ({
  "": "0px",
  "-position": "absolute",
  "-top": block === "top" ? from : "auto",
  "-bottom": block === "bottom" ? from : "auto",
  "-start": inline === "start" ? from : "auto",
  "-end": inline === "end" ? from : "auto",
  "-seen": "none",
});
/** A count in each corner. Left and right are swapped in right-to-left languages. */
export const corners = (from = "0px") => ({
  "top left": corner("top", "start", from),
  "top right": corner("top", "end", from),
  "bottom left": corner("bottom", "start", from),
  "bottom right": corner("bottom", "end", from),
});
/** A count in line, directly after the text or at the end of the line. @param margin before it */
export const inLine = (margin: string) => ({
  "": margin,
  "-position": "static",
  "-top": "auto",
  "-bottom": "auto",
  "-start": "auto",
  "-end": "auto",
  "-seen": "inset(50%)",
});
/** The properties that a place writes for the counts matched by a selector. */
export const placed = (selector: string): Effect[] => [
  [selector, "position", "-position"],
  [selector, "top", "-top"],
  [selector, "bottom", "-bottom"],
  [selector, "inset-inline-start", "-start"],
  [selector, "inset-inline-end", "-end"],
];
/** The places of a count in an option with a name. */
export const besideName = (from?: string) => ({ "beside the name": inLine("0px"), ...corners(from) });
/** A count without a visible name beside it: hidden visually unless it is in a corner. */
const alone = (selector: string): Effect[] => [...placed(selector).slice(1), [selector, "clip-path", "-seen"]];

/** The count of an option that shows only a picture: its place, and its styling in a corner. @param at the option */
export const cornerCount = (at: string) => ({
  "count-place": choice("Count position", "beside the name", besideName("-0.45em"), [
    ...placed(`${at} > .zt-name .zt-count`),
    ...alone(`${at} > .zt-count`),
  ]),
  "count-ink": colour("Count in a corner", "{ink}", on(`${at} > .zt-count`, "color")),
  "count-ground": colour("Background of a count in a corner", "{ground}", on(`${at} > .zt-count`, "background-color")),
  "count-padding": length("Padding of a count in a corner", "{space.xs}", on(`${at} > .zt-count`, "padding-inline")),
});

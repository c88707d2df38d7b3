import { choice, colour, font, length, number, type Part, time, weight } from "../part.ts";

/** What all other parts follow until they are set apart: a look is mostly made here. */
export const basics = {
  ink: part("Text", {
    "": colour("Text", "#16352b"),
    quiet: colour("Quiet text", "#5c6b64"),
    faded: colour("Unavailable text", "#66716c"),
  }),
  ground: part("Ground", {
    "": colour("Ground", "#ffffff"),
    tint: colour("Tinted background", "#edf3ee"),
    page: colour("Page", "{ground}"),
  }),
  accent: part("Accent", {
    "": colour("Accent", "#1d4a3b"),
    ink: colour("Text on it", "#ffffff"),
  }),
  line: part(
    "Lines",
    {
      "": colour("Between things", "#d5ddd6"),
      edge: colour("Around controls", "#7d8f86"),
      width: length("Width", 1, [], { max: 12, step: 0.5 }),
      strong: length("Strong width", 2, [], { max: 12, step: 0.5 }),
      // 3 to 1 against white, so that a shape is seen where its colour is not. Source: WCAG 2.2, 1.4.11.
      outline: colour("Around pale swatches", "#808080"),
    },
    [{ of: "outline", as: "control" }],
  ),
  focus: part("Focus mark", {
    "": colour("Colour", "#0b6bcb"),
    width: length("Width", 2, [], { max: 12, step: 0.5 }),
    offset: length("Distance", 2, [], { min: -6, max: 12 }),
  }),
  shade: part("Shadows", {
    "": colour("Behind a drawer", "#0e201a80"),
    shadow: colour("Shadow", "#0e201a26"),
  }),
  text: part("Type", {
    font: font("Font", '"Newsreader Variable", Georgia, serif'),
    leading: number("Line height", 1.45, [], { min: 0.8, max: 3 }),
    tiny: length("Tiny", 13),
    small: length("Small", 14),
    note: length("Note", 15),
    size: length("Text", 16),
    title: length("Title", 17),
    heading: length("Heading", 19),
    large: length("Large heading", 22),
    weight: weight("Weight", 400),
    strong: weight("Strong weight", 600),
  }),
  space: part("Room", {
    "2xs": length("Tiniest", 2),
    xs: length("Tiny", 4),
    s: length("Small", 6),
    m: length("Usual", 8),
    l: length("Wider", 10),
    xl: length("Wide", 12),
    "2xl": length("Very wide", 14),
    "3xl": length("Loose", 16),
    "4xl": length("Looser", 20),
    "5xl": length("Open", 24),
    "6xl": length("Widest", 28),
  }),
  height: part("Heights", {
    row: length("A line of options", 30),
    small: length("A small line", 28),
    field: length("Fields", 40),
    tile: length("Tiles", 36),
    touch: length("For a finger", 44),
    bar: length("Large buttons", 48),
    badge: length("Badges", 22),
  }),
  radius: part("Corners", {
    "": length("Usual", 4),
    small: length("Small", 3),
    large: length("Large", 6),
    round: length("Round", 22),
  }),
  motion: part("Motion", {
    time: time("Time", 160),
    short: time("Short time", 120),
    // Where a shopper wants less motion, all times are nothing; that is no token.
    way: choice("Way", "eased", {
      eased: "ease-out",
      even: "linear",
      springy: "cubic-bezier(0.3, 1.5, 0.5, 1)",
      none: "step-end",
    }),
  }),
} as const satisfies Record<string, Part>;

function part(label: string, properties: Part["properties"], judged: Part["judged"] = []): Part {
  return { label, group: "Basics", at: "", properties, judged };
}

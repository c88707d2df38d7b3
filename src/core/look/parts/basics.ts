import { choice, colour, font, type LookPart, length, number, time, weight } from "../part.ts";

/** The values that all other parts follow by default: most of a look is defined here. */
export const basics = {
  ink: part("Text", {
    "": colour("Text", "#16352b"),
    quiet: colour("Quiet text", "#5c6b64"),
    faded: colour("Unavailable text", "#66716c"),
  }),
  ground: part("Background", {
    "": colour("Background", "#ffffff"),
    tint: colour("Tinted background", "#edf3ee"),
    page: colour("Page", "{ground}"),
  }),
  accent: part("Accent", {
    "": colour("Accent", "#1d4a3b"),
    ink: colour("Text on accent", "#ffffff"),
  }),
  line: part(
    "Lines",
    {
      "": colour("Dividers", "#d5ddd6"),
      edge: colour("Borders of controls", "#7d8f86"),
      width: length("Width", 1, [], { max: 12, step: 0.5 }),
      strong: length("Bold width", 2, [], { max: 12, step: 0.5 }),
      // 3 to 1 against white, so that a shape is visible where its colour is not. Source: WCAG 2.2, 1.4.11.
      outline: colour("Outline of pale swatches", "#808080"),
    },
    [{ of: "outline", as: "control" }],
  ),
  focus: part("Focus ring", {
    "": colour("Colour", "#0b6bcb"),
    width: length("Width", 2, [], { max: 12, step: 0.5 }),
    offset: length("Offset", 2, [], { min: -6, max: 12 }),
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
    strong: weight("Bold weight", 600),
  }),
  space: part("Spacing", {
    "2xs": length("2XS", 2),
    xs: length("XS", 4),
    s: length("S", 6),
    m: length("M", 8),
    l: length("L", 10),
    xl: length("XL", 12),
    "2xl": length("2XL", 14),
    "3xl": length("3XL", 16),
    "4xl": length("4XL", 20),
    "5xl": length("5XL", 24),
    "6xl": length("6XL", 28),
  }),
  height: part("Heights", {
    row: length("Option rows", 30),
    small: length("Small rows", 28),
    field: length("Fields", 40),
    tile: length("Tiles", 36),
    touch: length("Touch targets", 44),
    bar: length("Large buttons", 48),
    badge: length("Badges", 22),
  }),
  radius: part("Corner radius", {
    "": length("Default", 4),
    small: length("Small", 3),
    large: length("Large", 6),
    round: length("Round", 22),
  }),
  motion: part("Motion", {
    time: time("Duration", 160),
    short: time("Short duration", 120),
    // If a shopper prefers less motion, all durations are 0; that is not a token.
    way: choice("Easing", "eased", {
      eased: "ease-out",
      even: "linear",
      springy: "cubic-bezier(0.3, 1.5, 0.5, 1)",
      none: "step-end",
    }),
  }),
} as const satisfies Record<string, LookPart>;

function part(label: string, properties: LookPart["properties"], judged: LookPart["judged"] = []): LookPart {
  return { label, group: "Basics", at: "", properties, judged };
}

import { lookKind } from "../src/core/look/kind.ts";
import type { LookDocument } from "../src/core/look/look-schema.ts";

/** The nursery's look: what is usual, with one design of options that stand out. */
export const demoLook: LookDocument = {
  ...lookKind.fresh("Larkmoss"),
  values: { accent: { wide: "#1d4a3b" } },
  styles: [
    {
      id: "pills",
      name: "Pills",
      values: {
        "tile.radius": { wide: 20 },
        "tile.ground": { wide: "{ground.tint}" },
        "tile.edge": { wide: "{ground.tint}" },
        "tile.ground.chosen": { wide: "{accent}" },
        "tile.edge.chosen": { wide: "{accent}" },
      },
    },
  ],
};

/** The panels' look on the sample site: its colours and corners, and its own font. */
export const siteLook: LookDocument = {
  ...lookKind.fresh("Tansy Row"),
  values: {
    ink: { wide: "#1c2440" },
    "ink.quiet": { wide: "#4f5670" },
    "ink.faded": { wide: "#666c82" },
    ground: { wide: "#ffffff" },
    "ground.tint": { wide: "#efe9da" },
    "ground.page": { wide: "#f7f3ea" },
    accent: { wide: "#1c2440" },
    "accent.ink": { wide: "#ffd84d" },
    line: { wide: "#ddd6c6" },
    "line.edge": { wide: "#6b7188" },
    focus: { wide: "#c8362b" },
    "text.font": { wide: "inherit" },
    "text.strong": { wide: 700 },
    radius: { wide: 0 },
    "radius.small": { wide: 0 },
    "radius.large": { wide: 0 },
    "radius.round": { wide: 0 },
    "slider.bar-in": { wide: "#ffd84d" },
  },
};

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

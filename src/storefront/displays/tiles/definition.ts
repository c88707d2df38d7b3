import type { Display } from "../display.ts";
import { Tiles } from "./view.tsx";

export const tiles: Display = {
  name: "tiles",
  label: "Tiles",
  modes: ["any", "all", "one"],
  unsuited: ({ options, longest }) => {
    if (options > 100) return `${options} values are too many for tiles. A slider or a dropdown suits them.`;
    return longest > 40 ? `The longest value has ${longest} characters, too many for a tile. Check boxes suit it.` : undefined;
  },
  View: Tiles,
};

import { type Display, optionSettings } from "../display.ts";
import { Tree } from "./view.tsx";

export const tree: Display = {
  name: "tree",
  label: "Tree",
  modes: ["tree"],
  settings: [...optionSettings, "nested", "maxHeight"],
  unsuited: ({ depth }) => (depth > 1 ? undefined : "The values have one level only. Join levels with “ > ” in the catalogue to nest them."),
  View: Tree,
};

import { type Display, listSettings } from "../display.ts";
import { isNumberLine, tooMany } from "../suits.ts";
import { PictureTiles } from "./view.tsx";

export const pictureTiles: Display = {
  name: "picture-tiles",
  label: "Picture tiles and logos",
  modes: ["any", "all", "one"],
  settings: [...listSettings, "caption", "shape", "size", "gap", "edge"],
  unsuited: (profile) =>
    isNumberLine(profile, "They have no pictures; a slider or tiles suit them.") ??
    tooMany(profile, 100, "pictures", "A dropdown or a search field suits them."),
  View: PictureTiles,
};

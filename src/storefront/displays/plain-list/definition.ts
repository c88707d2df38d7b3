import { type Display, listSettings } from "../display.ts";
import { tooMany } from "../suits.ts";
import { PlainList } from "./view.tsx";

export const plainList: Display = {
  name: "plain-list",
  label: "Plain list",
  modes: ["any", "all", "one"],
  settings: listSettings,
  unsuited: (profile) => tooMany(profile, 500, "a list", "A dropdown or a search field suits them."),
  View: PlainList,
};

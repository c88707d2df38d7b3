import { type Display, optionSettings } from "./display.ts";
import { pointing } from "./interaction-cost.ts";
import { tooLong, tooMany } from "./suits.ts";

/** Words that wrap like a sentence. */
export const tags: Display = {
  label: "Tags in a row",
  modes: ["any", "all", "one", "tree"],
  settings: [...optionSettings, "searchInside", "foldAfter", "maxHeight"],
  hands: pointing,
  room: "rows",
  unsuited: (profile) =>
    tooMany(profile, 100, "tags", "A dropdown or a search field suits them.") ?? tooLong(profile, 40, "a tag"),
};

import { ancestors } from "../catalogue/path.ts";
import { type Display, type OfferedOptions, optionParts, optionSettings, type ShopFacts } from "./display.ts";
import { pointing } from "./interaction-cost.ts";
import { byLevel } from "./seeking.ts";

/** Without nesting: only categories without subcategories can be chosen. */
const leaves: OfferedOptions = (ids, { nested }) => {
  if (nested) return ids;
  const above = new Set(ids.flatMap(ancestors));
  return ids.filter((id) => !above.has(id));
};

export const shopFacts: ShopFacts = { offers: leaves, levels: true };

/** Categories that fold. */
export const tree = {
  label: "Tree",
  modes: ["tree"],
  settings: [...optionSettings, "nested", "maxHeight"],
  hands: pointing,
  seek: byLevel,
  room: "lines",
  shop: shopFacts,
  parts: ["box", "tree", ...optionParts],
  specimen: { field: "category" },
  unsuited: ({ depth }) =>
    depth > 1 ? undefined : "The values have one level only. Join levels with “ > ” in the catalogue to nest them.",
} satisfies Display;

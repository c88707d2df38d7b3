import { affirmative } from "../catalogue/yes-no.ts";
import { type Display, type OfferedOptions, optionParts, type ShopFacts } from "./display.ts";
import { pointing } from "./interaction-cost.ts";

/** Offers yes only; if no product says yes, the first option. */
const one: OfferedOptions = (ids) => {
  const yes = ids.find((id) => affirmative.has(id)) ?? ids[0];
  return yes === undefined ? [] : [yes];
};

export const shopFacts: ShopFacts = { offers: one };

/** On for yes, off for no choice. */
export const yesNoSwitch = {
  label: "Switch",
  modes: ["any", "one"],
  settings: ["counting", "emptyOptions"],
  hands: pointing,
  oneSided: true,
  room: "control",
  shop: shopFacts,
  parts: ["switch", ...optionParts],
  specimen: { field: "washable" },
  unsuited: ({ options }) =>
    options > 2
      ? `A switch needs a yes/no field, but there are ${options.toLocaleString("en")} values. Tiles or check boxes suit them.`
      : undefined,
} satisfies Display;

import type { FacetSettings } from "../settings/settings.ts";
import type { OfferedOptions, RangeCounting, ShopFacts } from "./display.ts";
import type { DisplayName, Displays } from "./displays.ts";
import { shopFacts as dropdown } from "./dropdown.ts";
import { shopFacts as pictureTiles } from "./picture-tiles.ts";
import { shopFacts as priceRanges } from "./price-ranges.ts";
import { shopFacts as stars } from "./stars.ts";
import { shopFacts as swatches } from "./swatches.ts";
import { shopFacts as yesNoSwitch } from "./switch.ts";
import { shopFacts as tags } from "./tags.ts";
import { shopFacts as tiles } from "./tiles.ts";
import { shopFacts as tree } from "./tree.ts";

/** Displays whose definition has facts for shop pages; the compiler rejects the list below if one is missing. */
type WithShopFacts = { [N in DisplayName]: Displays[N] extends { shop: ShopFacts } ? N : never }[DisplayName];

/** The facts that shop pages need of each display that has any. */
export const shopFacts: Readonly<Record<WithShopFacts, ShopFacts>> = {
  dropdown,
  "picture-tiles": pictureTiles,
  "price-ranges": priceRanges,
  stars,
  swatches,
  switch: yesNoSwitch,
  tags,
  tiles,
  tree,
};

const factsOf = (display: string): ShopFacts =>
  Object.hasOwn(shopFacts, display) ? shopFacts[display as WithShopFacts] : {};

/** How a display counts in ranges; undefined if it does not. @param display the name of any display */
export const countingOf = (display: string): RangeCounting | undefined => factsOf(display).countedIn;

/**
 * Number of options of a display in the space of one check box; used for folding lists in shop pages and rehearsals.
 */
export const densityOf = (display: string, settings: Pick<FacetSettings, "caption">): number =>
  factsOf(display).density?.(settings) ?? 1;

/** Which of the options shown a display offers; undefined if it offers all. */
export const offersOf = (display: string): OfferedOptions | undefined => factsOf(display).offers;

/** Whether a display draws the levels of a path itself. */
export const drawsLevels = (display: string): boolean => factsOf(display).levels ?? false;

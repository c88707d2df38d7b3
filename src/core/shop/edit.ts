import type { Edit } from "../document/edit.ts";
import type { BandLimits } from "../settings/band.ts";
import type { ShopDocument, Site } from "./shop-schema.ts";
import { defaultSite, siteOf } from "./site.ts";

/** One step over what holds for a whole shop. */
export type ShopEdit = Edit<ShopDocument>;

const isSame = (a: Site, b: Site): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Least px between the two limits, and the ends of the ruler. */
const apart = 100;
const least = 320;
const most = 1600;

/** Moves the band limits. They keep 100 px between them and stay on the ruler. */
export const setLimits = (limits: BandLimits): ShopEdit => ({
  words: "Move a band limit",
  change: (shop) => {
    const medium = Math.round(Math.max(least, Math.min(limits.medium, most - apart)));
    shop.limits = { medium, wide: Math.round(Math.max(medium + apart, Math.min(limits.wide, most))) };
  },
});

/** Says how panels stand on the shop's own site. What is as usual is left out. */
export const setSite = (changes: Partial<Site>): ShopEdit => ({
  words: "Set where the handoff is used",
  change: (shop) => {
    const site = { ...siteOf(shop), ...changes };
    if (isSame(site, defaultSite)) delete shop.site;
    else shop.site = site;
  },
});

/** The languages that labels are given in beside the shop's own. */
export const setLanguages = (languages: readonly string[]): ShopEdit => ({
  words: languages.length === 0 ? "One language only" : `Languages: ${languages.join(", ")}`,
  change: (shop) => {
    shop.languages = [...new Set(languages)];
  },
});

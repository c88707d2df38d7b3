import type { Edit } from "../document/edit.ts";
import type { BandLimits } from "../settings/band.ts";
import { fallbackLanguage, ownLanguage } from "./languages.ts";
import type { ShopDocument, Site } from "./shop-schema.ts";
import { defaultSite, siteOf } from "./site.ts";

/** One undoable step over a shop's settings. */
export type ShopEdit = Edit<ShopDocument>;

const isSame = (a: Site, b: Site): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Minimum distance in px between the two limits, and from the ends of the ruler. */
const apart = 100;
const least = 320;
const most = 1600;

/** Moves the band limits, keeping their minimum distance and staying on the ruler. */
export const setLimits = (limits: BandLimits): ShopEdit => ({
  words: "Move a band limit",
  change: (shop) => {
    const medium = Math.round(Math.max(least, Math.min(limits.medium, most - apart)));
    shop.limits = { medium, wide: Math.round(Math.max(medium + apart, Math.min(limits.wide, most))) };
  },
});

/** Changes the settings of the shop's own site. Defaults are left out. */
export const setSite = (changes: Partial<Site>): ShopEdit => ({
  words: "Set where the handoff is used",
  change: (shop) => {
    const site = { ...siteOf(shop), ...changes };
    if (isSame(site, defaultSite)) delete shop.site;
    else shop.site = site;
  },
});

/** Sets the shop's own language. */
export const setLanguage = (language: string): ShopEdit => ({
  words: `Shop language: ${language}`,
  change: (shop) => {
    if (language === fallbackLanguage) delete shop.language;
    else shop.language = language;
    shop.languages = shop.languages.filter((one) => one !== language);
  },
});

/** Sets the languages of labels besides the shop's own. */
export const setLanguages = (languages: readonly string[]): ShopEdit => ({
  words: languages.length === 0 ? "One language only" : `Languages: ${languages.join(", ")}`,
  change: (shop) => {
    shop.languages = [...new Set(languages)].filter((one) => one !== ownLanguage(shop));
  },
});

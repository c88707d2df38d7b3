import { type FieldRole, isFacetable } from "../../catalogue/field.ts";
import { isDay, isNumeric, isTwoValued, kindFacts } from "../../catalogue/field-kinds.ts";
import { maxStars } from "../../catalogue/numbers/stars.ts";
import { type DisplayName, displays } from "../../displays/displays.ts";
import type { Mode } from "../../engine/question.ts";
import type { FieldProfile } from "../../profile/profile.ts";
import { type OptionOrder, type SettingValues, withSetting } from "../../settings/settings.ts";
import { countColours } from "../../swatch/plain-names.ts";
import { newFacet } from "../panel.ts";
import type { FacetRow } from "../panel-schema.ts";

/** Whether a field makes a facet, its initial display, and why, in words and numbers. */
export interface Suggestion {
  /** It distinguishes products, and enough of them state it. */
  worth: boolean;
  display: DisplayName;
  mode: Mode;
  order: OptionOrder;
  reason: string;
}

const few = 8;
/** Share of products in one bar of the histogram beyond which a straight scale is of no use. Common practice, no source. */
const maxCrowded = 0.6;
/** Number of options from which an open list has a search field. Common practice, no source. */
export const readAtOnce = 15;
/** Fields that shoppers seldom choose by, whatever their values. */
const seldom: ReadonlySet<FieldRole> = new Set(["list_price", "stock", "reviews", "published"]);

/** A suggestion for a field. */
export function suggestFacet(profile: FieldProfile): Suggestion {
  const { worth, reason } = judgeWorth(profile);
  const shown = suggestDisplay(profile);
  return { worth, ...shown, order: suggestOrder(profile, shown.display), reason: worth ? shown.reason : reason };
}

function judgeWorth(profile: FieldProfile): { worth: boolean; reason: string } {
  const { field, reach, outOf, options, commonest, crowded, limits } = profile;
  const no = (reason: string) => ({ worth: false, reason });
  if (!isFacetable(field)) return no("its values identify single products");
  if (seldom.has(field.role)) return no("shoppers seldom filter by it");
  if (reach === 0) return no("no product has a value");
  if (options < 2) return no("all products have the same value");
  if (reach * 5 < outOf)
    return no(`only ${reach.toLocaleString("en")} of ${outOf.toLocaleString("en")} products have a value`);
  const parts = isNumeric(field) || options * 2 <= reach || options <= 12;
  if (!parts)
    return no(
      `${options.toLocaleString("en")} values for ${reach.toLocaleString("en")} products are too many to choose from${
        commonest > 2 ? `, though the most frequent finds ${commonest.toLocaleString("en")}` : ""
      }`,
    );
  if (commonest * 50 >= outOf * 49 && options === 2)
    return no(`${commonest.toLocaleString("en")} of ${outOf.toLocaleString("en")} products have the same value`);
  if (isNumeric(field) && options > few && crowded > maxCrowded && !canBend(profile) && limits.length < 2)
    return no("almost all products have numbers close together");
  return { worth: true, reason: "" };
}

function suggestDisplay(profile: FieldProfile): Pick<Suggestion, "display" | "mode" | "reason"> {
  const { field, options, longest, depth, numbers, samples, skewness, limits, series, crowded } = profile;
  const any = (display: DisplayName, reason: string) => ({ display, mode: "any" as const, reason });
  if (depth > 1) return { display: "tree", mode: "tree", reason: `${depth} levels of categories` };
  if (isTwoValued(field) && options === 2) return any("switch", "yes or no");
  if (isNumeric(field)) {
    if (numbers <= few) return any(longest <= 6 ? "tiles" : "check-boxes", `only ${options} different values`);
    if (isDay(field)) return { display: "dates", mode: "range", reason: `${numbers} different dates` };
    if (isRating(profile) && !displays.stars.unsuited?.(profile))
      return {
        display: "stars",
        mode: "range",
        reason:
          profile.max !== null && profile.max > maxStars
            ? "a rating of up to ten points"
            : "a rating of up to five stars",
      };
    // On a straight scale most products would be in one place; one that crosses 0 can't be bent.
    if (crowded > maxCrowded && !canBend(profile) && limits.length > 1)
      return { display: "price-ranges", mode: "range", reason: `most of the ${numbers} numbers are close together` };
    const skewed = skewness > 1 && limits.length > 0;
    return {
      display: "slider-inputs",
      mode: "range",
      reason: skewed
        ? `${numbers} different numbers, a few far above the rest; the best limits of price ranges are ${limits.join(", ")}`
        : `${numbers} different numbers`,
    };
  }
  const coloured = countColours(samples);
  if (kindFacts(field).colours || (samples.length > 1 && coloured * 5 >= samples.length * 4))
    return any("swatches", `${coloured} of the ${samples.length} most frequent values name colours`);
  if (series) return any("tiles", `${options} ${series}, in their own order`);
  if (options <= 12 && longest <= 8 && !isTwoValued(field))
    return any("tiles", `${options} values of at most ${longest} characters`);
  if (options > 60) return any("dropdown", `${options} values are too many to show at once`);
  return any("check-boxes", `${options} values`);
}

/** Words in headings of ratings. Common practice, no source. */
const ratingWords = /\b(?:ratings?|bewertung|stars|sterne|notes?|évaluation|valoración|valutazione|beoordeling)\b/i;

/** Whether a field is a rating, by its role, or by its name if its numbers fit a scale of five or ten. */
const isRating = ({ field, min, max }: FieldProfile): boolean =>
  field.role === "rating" ||
  (ratingWords.test(field.name) && min !== null && max !== null && min >= 0 && max > 1 && max <= 10);

/** Whether a scale is bent, because a few very large values would squeeze the others into its beginning. */
const canBend = ({ skewness, min }: FieldProfile): boolean => skewness > 1 && (min ?? -1) >= 0;

/** Natural order for values that have one; otherwise by number of products. */
function suggestOrder({ field, series, samples }: FieldProfile, display: DisplayName): OptionOrder {
  const measured = samples.length > 1 && samples.every((text) => /\d/.test(text));
  return series || measured || isNumeric(field) || display === "tiles" ? "natural" : "count";
}

/** A facet row for a field with the suggested display; its id is the field's key. */
export function suggestRow(profile: FieldProfile): FacetRow {
  const { display, mode, order } = suggestFacet(profile);
  let settings: SettingValues = {};
  if (mode !== "range") settings = withSetting(settings, "order", order);
  if (display === "check-boxes" && profile.options > readAtOnce)
    settings = withSetting(settings, "searchInside", { wide: true });
  // A few very large values would squeeze the others into the beginning of the scale.
  if (displays[display].settings.includes("scale") && canBend(profile))
    settings = withSetting(settings, "scale", "bent");
  return newFacet(rowId(profile.field.key), profile.field.key, display, mode, settings);
}

/** A row id from a field's key; ids take plain letters only, keys any script's. */
export function rowId(key: string): string {
  const plain = key.replace(/[^\w-]/g, "").slice(0, 30);
  let sum = 0;
  for (const char of key) sum = (sum * 31 + (char.codePointAt(0) ?? 0)) >>> 0;
  return plain === key ? `f-${plain}` : `f-${plain}-${sum.toString(36)}`;
}

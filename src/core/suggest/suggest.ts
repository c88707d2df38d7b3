import { type FieldRole, isFacetable, isNumeric } from "../catalogue/field.ts";
import type { DisplayName } from "../display/displays.ts";
import { type FieldProfile, profileField } from "../evidence/profile.ts";
import type { CatalogueIndex } from "../index/catalogue-index.ts";
import type { Mode } from "../match/question.ts";
import { emptyPanel, newFacet } from "../panel/panel.ts";
import type { FacetRow, PanelDocument } from "../panel/panel-schema.ts";
import { newPiece } from "../panel/pieces.ts";
import { type OptionOrder, type SettingValues, withSetting } from "../setting/settings.ts";
import { speaksOfColour } from "../swatch/plain-names.ts";

/** Whether a field makes a facet and how it is best shown, to begin with, and why, in words and numbers. */
export interface Suggestion {
  /** It parts the products, and enough of them state it. */
  worth: boolean;
  display: DisplayName;
  mode: Mode;
  order: OptionOrder;
  reason: string;
}

const few = 8;
/** Fields that shoppers seldom choose by, whatever they hold. */
const seldom: ReadonlySet<FieldRole> = new Set(["list_price", "stock", "reviews", "published"]);

/** What to make of a field. */
export function suggestFacet(profile: FieldProfile): Suggestion {
  const { worth, reason } = judgeWorth(profile);
  const shown = suggestDisplay(profile);
  return { worth, ...shown, order: suggestOrder(profile, shown.display), reason: worth ? shown.reason : reason };
}

function judgeWorth({ field, reach, outOf, options, commonest }: FieldProfile): { worth: boolean; reason: string } {
  const no = (reason: string) => ({ worth: false, reason });
  if (!isFacetable(field)) return no("it names single products");
  if (seldom.has(field.role)) return no("shoppers seldom choose by it");
  if (reach === 0) return no("no product states it");
  if (options < 2) return no("all that state it say the same");
  if (reach * 5 < outOf)
    return no(`only ${reach.toLocaleString("en")} of ${outOf.toLocaleString("en")} products state it`);
  const parts = isNumeric(field) || options * 2 <= reach || options <= 12;
  if (!parts)
    return no(
      `${options.toLocaleString("en")} values for ${reach.toLocaleString("en")} products, so each finds next to nothing`,
    );
  if (commonest * 50 >= outOf * 49 && options === 2)
    return no(`${commonest.toLocaleString("en")} of ${outOf.toLocaleString("en")} products say the same`);
  return { worth: true, reason: "" };
}

function suggestDisplay(profile: FieldProfile): Pick<Suggestion, "display" | "mode" | "reason"> {
  const { field, options, longest, depth, numbers, samples, skewness, limits, series } = profile;
  const any = (display: DisplayName, reason: string) => ({ display, mode: "any" as const, reason });
  if (depth > 1) return { display: "tree", mode: "tree", reason: `${depth} levels of categories` };
  if (isNumeric(field)) {
    const what = field.kind === "date" ? "days" : "numbers";
    if (numbers <= few) return any(longest <= 6 ? "tiles" : "check-boxes", `only ${options} different values`);
    const skewed = skewness > 1 && limits.length > 0;
    return {
      display: "slider-inputs",
      mode: "range",
      reason: skewed
        ? `${numbers} different ${what}, a few far above the rest; bands part best at ${limits.join(", ")}`
        : `${numbers} different ${what}`,
    };
  }
  const coloured = samples.filter(speaksOfColour).length;
  if (field.kind === "colour" || (samples.length > 1 && coloured * 5 >= samples.length * 4))
    return any("swatches", `${coloured} of the ${samples.length} most frequent values name colours`);
  if (series) return any("tiles", `${options} ${series}, in their own order`);
  if (options <= 12 && longest <= 8 && field.kind !== "yes-no")
    return any("tiles", `${options} values of at most ${longest} characters`);
  if (options > 60) return any("dropdown", `${options} values are too many to lay open`);
  return any("check-boxes", `${options} values`);
}

/** Values with an order of their own stand in it; the rest by how many products they lead to. */
function suggestOrder({ field, series, samples }: FieldProfile, display: DisplayName): OptionOrder {
  const measured = samples.length > 1 && samples.every((text) => /\d/.test(text));
  return series || measured || isNumeric(field) || display === "tiles" ? "natural" : "count";
}

/** A facet row for a field with the suggested display; its id is the field's key. */
export function suggestRow(profile: FieldProfile): FacetRow {
  const { display, mode, order } = suggestFacet(profile);
  let settings: SettingValues = {};
  if (mode !== "range") settings = withSetting(settings, "order", order);
  // A few values far above the rest would leave the others the first inch of the scale.
  else if (profile.skewness > 1 && (profile.min ?? -1) >= 0) settings = withSetting(settings, "scale", "bent");
  return newFacet(rowId(profile.field.key), profile.field.key, display, mode, settings);
}

const firstFacets = 8;
const early = ["category", "type", "brand", "price"];
/** Stated for most products and seldom the question that a shopper comes with. */
const late = ["rating", "tags"];

/** A first panel that makes sense: the facets that most products state, categories first and money last. */
export function firstPanel(index: CatalogueIndex, name: string): PanelDocument {
  const worth = index.catalogue.fields
    .filter(isFacetable)
    .map((field) => profileField(index, field))
    .filter((profile) => suggestFacet(profile).worth);
  const rank = ({ field, reach, outOf }: FieldProfile) =>
    early.includes(field.role)
      ? 2
      : field.role === "availability" || field.role === "on_sale"
        ? 0
        : late.includes(field.role)
          ? reach / outOf / 2
          : reach / outOf;
  const chosen = [...worth].sort((a, b) => rank(b) - rank(a)).slice(0, firstFacets);
  const place = ({ field }: FieldProfile) => {
    if (field.role === "category") return 0;
    if (field.role === "price") return 2;
    return field.role === "availability" || field.role === "on_sale" ? 3 : 1;
  };
  chosen.sort((a, b) => place(a) - place(b));
  const panel = emptyPanel(name);
  return { ...panel, rows: [newPiece("chosen", "chosen"), ...chosen.map(suggestRow)] };
}

/** A row id made of a field's key; ids take plain letters only, keys any script's. */
export function rowId(key: string): string {
  const plain = key.replace(/[^\w-]/g, "").slice(0, 30);
  let sum = 0;
  for (const char of key) sum = (sum * 31 + (char.codePointAt(0) ?? 0)) >>> 0;
  return plain === key ? `f-${plain}` : `f-${plain}-${sum.toString(36)}`;
}

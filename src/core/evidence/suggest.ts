import { isFacetable } from "../catalogue/field.ts";
import type { CatalogueIndex } from "../index/catalogue-index.ts";
import type { Mode } from "../match/selection.ts";
import { type DisplayName, emptyPanel, type FacetRow, facetDefaults, type PanelDocument, pieceLabels } from "../panel/document.ts";
import { guessColour } from "../swatch/guess.ts";
import { type FieldProfile, profileField } from "./profile.ts";

/** How a field is best shown, to begin with, and why. */
export interface Suggestion {
  display: DisplayName;
  mode: Mode;
  reason: string;
}

/** The display and mode that suit a field's values. */
export function suggestDisplay(profile: FieldProfile): Suggestion {
  const { field, options, longest, depth, numbers, samples } = profile;
  if (depth > 1) return { display: "tree", mode: "tree", reason: `${depth} levels of categories` };
  if (field.kind === "number" || field.kind === "date") {
    if (numbers > 8) return { display: "slider", mode: "range", reason: `${numbers} different ${field.kind === "date" ? "days" : "numbers"}` };
    return { display: longest <= 6 ? "tiles" : "check-boxes", mode: "any", reason: `only ${options} different values` };
  }
  const coloured = samples.filter((name) => guessColour(name) !== undefined).length;
  if (samples.length > 1 && coloured * 5 >= samples.length * 4) return { display: "swatches", mode: "any", reason: "the values name colours" };
  if (options <= 12 && longest <= 8 && field.kind !== "yes-no") return { display: "tiles", mode: "any", reason: "few and short values" };
  if (options > 60) return { display: "dropdown", mode: "any", reason: `${options} values are too many to lay open` };
  return { display: "check-boxes", mode: "any", reason: `${options} values` };
}

/** Whether a field is worth a facet at all: it parts the products, and enough of them state it. */
export function isWorthAFacet({ field, reach, outOf, options }: FieldProfile): boolean {
  if (!isFacetable(field) || field.role === "list_price" || field.role === "stock" || field.role === "reviews" || field.role === "published")
    return false;
  if (options < 2 || reach * 5 < outOf) return false;
  // A text that nearly every product has for itself alone narrows nothing down.
  return field.kind === "number" || field.kind === "date" || options * 2 <= reach || options <= 12;
}

/** A facet row for a field with the suggested display; its id is the field's key. */
export function suggestRow(profile: FieldProfile): FacetRow {
  const { display, mode } = suggestDisplay(profile);
  const short = display === "tiles" || profile.field.kind === "number";
  return {
    ...facetDefaults,
    id: rowId(profile.field.key),
    field: profile.field.key,
    mode,
    display: { wide: display },
    order: short ? "natural" : "count",
  };
}

const firstFacets = 8;
const early = ["category", "type", "brand", "price"];
/** Stated for most products and seldom the question that a shopper comes with. */
const late = ["rating", "tags"];

/** A first panel that makes sense: the facets that most products state, categories first and money last. */
export function firstPanel(index: CatalogueIndex, name: string): PanelDocument {
  const worth = index.catalogue.fields.map((field) => profileField(index, field)).filter(isWorthAFacet);
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
  return { ...panel, rows: [{ kind: "piece", id: "chosen", piece: "chosen", label: pieceLabels.chosen }, ...chosen.map(suggestRow)] };
}

/** A row id made of a field's key; ids take plain letters only, keys any script's. */
export function rowId(key: string): string {
  const plain = key.replace(/[^\w-]/g, "").slice(0, 30);
  let sum = 0;
  for (const char of key) sum = (sum * 31 + (char.codePointAt(0) ?? 0)) >>> 0;
  return plain === key ? `f-${plain}` : `f-${plain}-${sum.toString(36)}`;
}

import type { Field, FieldRole } from "../../catalogue/field.ts";
import type { DisplayName } from "../../displays/displays.ts";
import type { CatalogueIndex } from "../../engine/index/catalogue-index.ts";
import { answersTo } from "../../profile/answers.ts";
import { profileField } from "../../profile/profile.ts";
import { withSetting } from "../../settings/settings.ts";
import { emptyPanel } from "../panel.ts";
import type { FacetRow, PanelDocument } from "../panel-schema.ts";
import { newPiece } from "../pieces.ts";
import { firstOf, reasonFor } from "./first-panel.ts";
import { facetHeadingWords } from "./likely.ts";
import { type Ranked, rankFields } from "./rank.ts";
import { suggestFacet, suggestRow } from "./suggest.ts";

/** A field chosen by a recipe. */
type Pick = Omit<Ranked, "score">;

/** The fields that recipes choose from. */
interface Larder {
  /** The most useful fields, best first. */
  ranked: readonly Ranked[];
  /** The fields of the usual first panel. */
  first: readonly Ranked[];
  /** The field of a role, if shoppers can choose by it. */
  of(role: FieldRole): Pick | undefined;
}

/** A way to start a panel from the shop's own fields. */
interface Recipe {
  label: string;
  about: string;
  placement: PanelDocument["placement"];
  /** The fields, in order; none if the shop lacks those that make the recipe. */
  fields(larder: Larder): readonly Pick[];
  /** Changes a suggested row. */
  row?(row: FacetRow): FacetRow;
  /** Chosen filters come first. */
  chosen?: boolean;
}

const sizeWords = /\b(?:sizes?|größen?|grösse|groesse|tailles?|tallas?|taglie?|maten?|maat)\b|サイズ|المقاس/;
const isColour = ({ suggestion }: Ranked) => suggestion.display === "swatches";
const isSize = ({ profile }: Ranked) =>
  profile.series === "sizes" || sizeWords.test(facetHeadingWords(profile.field.name));
/** Number of options that a question in a row or an article can show. */
const few = 12;
const isQuestion = ({ profile, suggestion }: Ranked) => suggestion.mode !== "range" && profile.options <= few;
const both = <T>(...found: readonly (T | undefined)[]): T[] =>
  found.every((one) => one !== undefined) ? (found as T[]) : [];

const asDropdown = (row: FacetRow): FacetRow => {
  const display: DisplayName = row.mode === "range" || row.display.wide === "switch" ? row.display.wide : "dropdown";
  return { ...row, display: { wide: display } };
};

const beside: PanelDocument["placement"] = { wide: "left", slim: "drawer" };

/** The recipes, in the order in which they are offered. */
export const recipes = {
  best: {
    label: "The most useful filters",
    about: "beside the products",
    placement: beside,
    fields: ({ first }) => first,
    chosen: true,
  },
  "colour-size": {
    label: "Colour and size",
    about: "beside the products, with the category",
    placement: beside,
    fields: ({ ranked, of }) => {
      const pair = both<Pick>(ranked.find(isColour), ranked.find(isSize));
      const category = of("category");
      return pair.length > 0 && category ? [category, ...pair] : pair;
    },
    chosen: true,
  },
  "price-stock": {
    label: "Price and stock",
    about: "beside the products",
    placement: beside,
    fields: ({ of }) => {
      const sale = of("on_sale");
      const pair = both(of("price"), of("availability"));
      return pair.length > 0 && sale ? [...pair, sale] : pair;
    },
    chosen: true,
  },
  questions: {
    label: "Three questions",
    about: "in an article, side by side",
    placement: { wide: "article" },
    fields: ({ ranked }) => {
      const found = ranked.filter(isQuestion).slice(0, 3);
      return found.length === 3 ? found : [];
    },
    row: (row) => ({ ...row, settings: withSetting(row.settings, "share", { wide: "third", slim: "full" }) }),
  },
  above: {
    label: "A row above the products",
    about: "dropdowns that save space",
    placement: { wide: "above", slim: "drawer" },
    fields: ({ ranked }) => {
      const found = ranked.filter(({ suggestion }) => suggestion.mode !== "range" && suggestion.mode !== "tree");
      return found.length >= 2 ? found.slice(0, 4) : [];
    },
    row: asDropdown,
  },
} satisfies Record<string, Recipe>;

export type RecipeName = keyof typeof recipes;

/** A recipe filled with a shop's own fields. */
export interface FilledRecipe {
  name: RecipeName;
  label: string;
  about: string;
  panel: PanelDocument;
  /** Why each field is in it, in words and numbers. */
  reasons: readonly { field: string; name: string; reason: string }[];
}

/** Number of fields that recipes choose from. */
const looked = 16;

/** The recipes that suit a shop, filled with its fields. */
export function fillRecipes(index: CatalogueIndex): FilledRecipe[] {
  const pickOf = (field: Field): Pick | undefined => {
    const profile = profileField(index, field);
    const suggestion = suggestFacet(profile);
    return suggestion.worth ? { profile, suggestion, left: answersTo(index, field).left } : undefined;
  };
  const ranked = rankFields(index, looked);
  const larder: Larder = {
    ranked,
    first: firstOf(ranked),
    of: (role) => {
      const field = index.catalogue.fields.find((one) => one.role === role);
      return field && pickOf(field);
    },
  };
  return Object.entries<Recipe>(recipes).flatMap(([name, { label, about, placement, fields, row, chosen }]) => {
    const picks = fields(larder);
    if (picks.length === 0) return [];
    const rows = picks.map(({ profile }) => suggestRow(profile)).map((one) => (row ? row(one) : one));
    return {
      name: name as RecipeName,
      label,
      about,
      panel: { ...emptyPanel(label), placement, rows: [...(chosen ? [newPiece("chosen", "chosen")] : []), ...rows] },
      reasons: picks.map((pick) => ({
        field: pick.profile.field.key,
        name: pick.profile.field.name,
        reason: reasonFor(pick),
      })),
    };
  });
}

import type { Catalogue } from "../catalogue/catalogue.ts";
import { type CatalogueChange, type ChangedProduct, compareCatalogues } from "../catalogue/compare.ts";
import { type Field, type FieldRole, isWholeText } from "../catalogue/field.ts";
import { isNumeric, parseNumber } from "../catalogue/field-kinds.ts";
import { identity } from "../catalogue/identity.ts";
import { applyMends } from "../catalogue/mend/apply.ts";
import type { Mend, NewMend } from "../catalogue/mend/mend-schema.ts";
import type { PagesDocument } from "../page/pages-schema.ts";
import type { PanelDocument } from "../panel/panel-schema.ts";
import type { SwatchDocument } from "../swatch/book-schema.ts";
import { guessByName } from "../swatch/name-guess.ts";
import { swatchViewOf } from "../swatch/view.ts";
import { hiddenValues } from "./hidden-values.ts";
import { importEffects } from "./import-effects.ts";
import { renamedFields } from "./renamed-fields.ts";
import { renamedValues } from "./renamed-values.ts";

/** The documents that depend on a shop's catalogue. */
export interface ShopAsIs {
  mends: readonly Mend[];
  panels: readonly PanelDocument[];
  pages: Pick<PagesDocument, "collections" | "everywhere" | "layouts" | "exceptions">;
  swatches: SwatchDocument;
}

/** Maximum number of products, values and cells listed individually; counts are always complete. */
const namedInChange = 100;
const movesShown = 3;

/**
 * The changes a new catalogue would make for shoppers: a value that is corrected already doesn't count.
 * @param source the imported catalogue
 * @param taken corrections that would come with the new catalogue
 */
export function changeSummary(
  source: Catalogue,
  { mends, panels, pages, swatches }: ShopAsIs,
  next: Catalogue,
  taken: readonly NewMend[] = [],
) {
  const before = applyMends(source, mends);
  const after = applyMends(next, [...mends, ...taken.map((mend, at): Mend => ({ ...mend, id: `taken-${at}` }))]);
  const change = compareCatalogues(before, after);
  const hasSwatch = (field: string, value: string) =>
    swatchViewOf(swatches, field, identity(value), guessByName(value)).source !== "text";
  const hidden = hiddenValues(source, next, mends);
  return {
    ...told(change),
    effects: importEffects(change, panels, pages, hasSwatch),
    renamed: renamedFields(before, next),
    renamedValues: renamedValues(before, after, change),
    hidden: hidden.slice(0, namedInChange * 10),
    hiddenCount: hidden.length,
  };
}

export type ChangeSummary = ReturnType<typeof changeSummary>;

/** A change shortened for sending, most important first. */
function told({ added, gone, changed, same, fields }: CatalogueChange) {
  const weighed = changed.map((product) => ({ product, weight: weightOf(product) }));
  weighed.sort((a, b) => b.weight - a.weight);
  return {
    counts: { added: added.length, gone: gone.length, changed: changed.length, same },
    added: added.slice(0, namedInChange),
    gone: gone.slice(0, namedInChange),
    changed: weighed.slice(0, namedInChange).map(({ product: { id, title, changes } }) => ({
      ...{ id, title },
      cells: [...changes]
        .sort((a, b) => roleWeight(b.field.role) - roleWeight(a.field.role))
        .map(({ field, moves }) => ({ field: field.name, moves: moves.slice(0, movesShown), more: more(moves) })),
    })),
    // Titles and unique numbers change with their products, which are listed already.
    fields: fields
      .map((change) => (change.state === "kept" && isMany(change.field) ? { ...change, ...noValues } : change))
      .filter(
        ({ state, products, newValues, goneValues }) =>
          state !== "kept" || products + newValues.length + goneValues.length > 0,
      )
      .sort((a, b) => roleWeight(b.field.role) - roleWeight(a.field.role))
      .map(({ field, state, products, moves, newValues, goneValues }) => ({
        name: field.name,
        state,
        products,
        moves: moves.slice(0, movesShown),
        moreMoves: more(moves),
        newValues: newValues.slice(0, namedInChange),
        newCount: newValues.length,
        goneValues: goneValues.slice(0, namedInChange),
        goneCount: goneValues.length,
      })),
  };
}

const noValues = { newValues: [], goneValues: [] };

/** Whether a field has about as many values as there are products, so that single values mean nothing. */
const isMany = (field: Field): boolean => isWholeText(field.role) || isNumeric(field);

const more = (moves: readonly unknown[]): number => Math.max(0, moves.length - movesShown);

/** Importance of a change of a field. Common practice, no source: prices, then availability, then the rest. */
const roleWeight = (role: FieldRole): number =>
  role === "price" ? 4 : role === "list_price" ? 3 : role === "stock" ? 2 : isWholeText(role) ? 0 : 1;

/**
 * Importance of a product's changes: by the most important field, for a price by its relative change, for stock by
 * whether it ran out or came back.
 */
function weightOf({ changes }: ChangedProduct): number {
  return Math.max(
    ...changes.map(({ field: { role }, moves }) => {
      const weight = roleWeight(role);
      if (role === "price" || role === "list_price")
        return weight + Math.max(...moves.map(({ was, is }) => share(parseNumber(was), parseNumber(is))));
      if (role === "stock") return weight + (moves.some(({ was, is }) => (was === "0") !== (is === "0")) ? 0.5 : 0);
      return weight;
    }),
  );
}

/** Relative difference of two numbers, from 0 to 1; 1 if one isn't a number. */
const share = (one: number, other: number): number => {
  const largest = Math.max(Math.abs(one), Math.abs(other));
  return Number.isNaN(largest) ? 1 : largest === 0 ? 0 : Math.min(1, Math.abs(one - other) / largest) * 0.99;
};

import type { Edit } from "../../document/edit.ts";
import type { Mend, MendDocument, NewMend } from "./mend-schema.ts";
import { mendWords } from "./mend-words.ts";

/** One undoable step over a shop's corrections. */
export type MendEdit = Edit<MendDocument>;

/** Appends a correction. One for the same cell, or the same field's reading, replaces the earlier one. */
export const addMend = (mend: NewMend, fieldName: string): MendEdit => ({
  words: mendWords(mend, fieldName),
  change: ({ mends }) => {
    const id = `m${1 + mends.reduce((most, one) => Math.max(most, Number(one.id.slice(1)) || 0), 0)}`;
    const same = mends.findIndex((one) => isSameCell(one, mend));
    if (same >= 0) mends.splice(same, 1);
    mends.push({ ...mend, id });
  },
});

/** Removes one correction and leaves the others. */
export const removeMend = (id: string, words: string): MendEdit => ({
  words: `Undo: ${words}`,
  change: ({ mends }) => {
    const at = mends.findIndex((mend) => mend.id === id);
    if (at >= 0) mends.splice(at, 1);
  },
});

/**
 * Clears values set by hand for some products, so that the file's own values apply again.
 * @param cells by correction and product
 */
export const clearSetValues = (cells: readonly { mend: string; product: string }[]): MendEdit => ({
  words: cells.length === 1 ? "Remove a correction" : `Remove ${cells.length.toLocaleString("en")} corrections`,
  change: (document) => {
    const gone = new Map<string, Set<string>>();
    for (const { mend, product } of cells) gone.set(mend, (gone.get(mend) ?? new Set()).add(product));
    document.mends = document.mends.flatMap((mend) => {
      const products = gone.get(mend.id);
      if (!products) return [mend];
      if (mend.kind === "cell") return products.has(mend.product) ? [] : [mend];
      if (mend.kind !== "set") return [mend];
      const stay = mend.products.filter((id) => !products.has(id));
      return stay.length === 0 ? [] : [{ ...mend, products: stay }];
    });
  },
});

const isSameCell = (one: Mend, other: NewMend): boolean =>
  (one.kind === "field" && other.kind === "field" && one.field === other.field) ||
  (one.kind === "cell" &&
    other.kind === "cell" &&
    one.field === other.field &&
    one.product === other.product &&
    one.variant === other.variant);

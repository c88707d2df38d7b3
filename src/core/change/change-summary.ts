import type { CatalogueChange } from "../catalogue/compare.ts";
import { isWholeText } from "../catalogue/field.ts";
import type { ImportEffect } from "./import-effects.ts";
import type { RenamedField } from "./renamed-fields.ts";

/** Most products and values that a change names one by one; the numbers are always whole. */
const namedInChange = 100;

/** What a new catalogue would change, short enough to be sent and read. */
export const summariseChange = (
  { added, gone, changed, same, fields }: CatalogueChange,
  effects: ImportEffect[],
  renamed: RenamedField[],
) => ({
  counts: { added: added.length, gone: gone.length, changed: changed.length, same },
  added: added.slice(0, namedInChange),
  gone: gone.slice(0, namedInChange),
  changed: changed.slice(0, namedInChange),
  // Titles and numbers come and go with their products; that is told by product already.
  fields: fields
    .filter(({ field, state, products }) => state !== "kept" || products > 0 || !isWholeText(field.role))
    .map(({ field, state, products, newValues, goneValues }) => ({
      name: field.name,
      state,
      products,
      newValues: newValues.slice(0, namedInChange),
      newCount: newValues.length,
      goneValues: goneValues.slice(0, namedInChange),
      goneCount: goneValues.length,
    })),
  effects,
  renamed,
});

export type ChangeSummary = ReturnType<typeof summariseChange>;

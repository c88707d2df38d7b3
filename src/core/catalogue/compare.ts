import { type Catalogue, type Column, titleOf } from "./catalogue.ts";
import { type Field, isDerived } from "./field.ts";
import { identity } from "./identity.ts";

/** A product by its id and, for reading, its title. */
export interface NamedProduct {
  id: string;
  title: string;
}

/** What became of one field. */
export interface FieldChange {
  field: Field;
  state: "kept" | "added" | "gone";
  /** Products in both catalogues whose cells differ. */
  products: number;
  /** Values that only the new, or only the old catalogue states, as they are spelt there. */
  newValues: string[];
  goneValues: string[];
}

/** What is new, changed and gone from one catalogue to the next, by product and by field. */
export interface CatalogueChange {
  added: NamedProduct[];
  gone: NamedProduct[];
  changed: (NamedProduct & { fields: string[] })[];
  same: number;
  /** Only the fields that have something to tell. */
  fields: FieldChange[];
}

/** Compares two states of a shop's catalogue; fields are matched by key, products by id. */
export function compareCatalogues(before: Catalogue, after: Catalogue): CatalogueChange {
  const places = new Map(before.productIds.map((id, p) => [id, p]));
  const stored = (catalogue: Catalogue) =>
    catalogue.fields.filter((field) => field.role !== "product_id" && !isDerived(field));
  const [oldFields, newFields] = [stored(before), stored(after)];
  const changes = new Map<string, FieldChange>();
  for (const field of newFields)
    changes.set(field.key, {
      field,
      state: before.columns.has(field.key) ? "kept" : "added",
      products: 0,
      ...valueChange(before, after, field),
    });
  for (const field of oldFields) {
    if (!changes.has(field.key))
      changes.set(field.key, { field, state: "gone", products: 0, ...valueChange(before, after, field) });
  }

  const result: CatalogueChange = { added: [], gone: [], changed: [], same: 0, fields: [] };
  const compared = [...changes.values()].filter(({ state }) => state === "kept");
  after.productIds.forEach((id, p) => {
    const old = places.get(id);
    if (old === undefined) {
      result.added.push(named(after, p));
      return;
    }
    const differing = compared.filter(({ field }) => cellsOf(before, field, old) !== cellsOf(after, field, p));
    for (const change of differing) change.products++;
    if (differing.length > 0)
      result.changed.push({ ...named(after, p), fields: differing.map(({ field }) => field.name) });
    else result.same++;
  });
  const ids = new Set(after.productIds);
  before.productIds.forEach((id, p) => {
    if (!ids.has(id)) result.gone.push(named(before, p));
  });
  result.fields = [...changes.values()].filter(
    ({ state, products, newValues, goneValues }) =>
      state !== "kept" || products + newValues.length + goneValues.length > 0,
  );
  return result;
}

function named(catalogue: Catalogue, product: number): NamedProduct {
  return { id: catalogue.productIds[product] ?? "", title: titleOf(catalogue, product) };
}

/** All that a product states for a field, variant after variant, as one text. */
export function cellsOf({ columns, variantStart }: Catalogue, { key }: Field, product: number): string {
  const { spellings, starts, codes } = columns.get(key) as Column;
  let text = "";
  for (let v = variantStart[product] ?? 0; v < (variantStart[product + 1] ?? 0); v++) {
    for (let i = starts[v] ?? 0; i < (starts[v + 1] ?? 0); i++) text += `${spellings[codes[i] ?? 0]}|`;
    text += "\n";
  }
  return text;
}

function valueChange(
  before: Catalogue,
  after: Catalogue,
  { key }: Field,
): Pick<FieldChange, "newValues" | "goneValues"> {
  const values = (catalogue: Catalogue) =>
    new Map((catalogue.columns.get(key)?.spellings ?? []).map((text) => [identity(text), text]));
  const [old, now] = [values(before), values(after)];
  return {
    newValues: [...now].flatMap(([id, text]) => (old.has(id) ? [] : [text])),
    goneValues: [...old].flatMap(([id, text]) => (now.has(id) ? [] : [text])),
  };
}

import { type Catalogue, type Column, titleOf, valuesAt } from "./catalogue.ts";
import { type Field, isDerived } from "./field.ts";
import { identity } from "./identity.ts";

/** A product by its id and, for reading, its title. */
export interface NamedProduct {
  id: string;
  title: string;
}

/** The previous and present text of a cell; several values are joined by commas, none is empty. */
export interface ValueMove {
  was: string;
  is: string;
}

/** A change of one product in one field. */
export interface CellChange {
  field: Field;
  /** Each change once, in the order of the variants. */
  moves: ValueMove[];
}

/** A product of both catalogues whose cells differ. */
export interface ChangedProduct extends NamedProduct {
  changes: CellChange[];
}

/** The changes of one field. */
export interface FieldChange {
  field: Field;
  state: "kept" | "added" | "gone";
  /** Products in both catalogues whose cells differ. */
  products: number;
  /** Pairs of old and new values with the number of products, most frequent first. */
  moves: (ValueMove & { products: number })[];
  /** Values stated only by the new or only by the old catalogue, in their spelling there. */
  newValues: string[];
  goneValues: string[];
}

/** The additions, changes and removals between two catalogues, by product and by field. */
export interface CatalogueChange {
  added: NamedProduct[];
  gone: NamedProduct[];
  changed: ChangedProduct[];
  same: number;
  /** Only fields that changed. */
  fields: FieldChange[];
}

/** Compares two states of a shop's catalogue; fields are matched by key, products by id. */
export function compareCatalogues(before: Catalogue, after: Catalogue): CatalogueChange {
  const stored = ({ fields }: Catalogue) => fields.filter((field) => field.role !== "product_id" && !isDerived(field));
  const fieldChange = (field: Field, state: FieldChange["state"]): FieldChange => ({
    ...{ field, state, products: 0, moves: [] },
    ...valueChange(before, after, field),
  });
  const kept = stored(after).flatMap((field) => {
    const [was, is] = [before.columns.get(field.key), after.columns.get(field.key)];
    if (!was || !is) return [];
    const counts = new Map<ValueMove, number>();
    const change = fieldChange(field, "kept");
    return [{ change, was, is, differs: cellComparer(was, is), once: onlyOnce(), counts }];
  });

  const result: CatalogueChange = { added: [], gone: [], changed: [], same: 0, fields: [] };
  const places = new Map(before.productIds.map((id, p) => [id, p]));
  after.productIds.forEach((id, p) => {
    const old = places.get(id);
    if (old === undefined) {
      result.added.push(named(after, p));
      return;
    }
    places.delete(id);
    const [was, is] = [variantsOf(before, old), variantsOf(after, p)];
    const changes: CellChange[] = [];
    for (const { change, differs, once, counts, ...columns } of kept) {
      if (!differs(was, is)) continue;
      change.products++;
      const moves = movesOf(columns.was, was, columns.is, is, once);
      for (const move of moves) counts.set(move, (counts.get(move) ?? 0) + 1);
      changes.push({ field: change.field, moves });
    }
    if (changes.length > 0) result.changed.push({ ...named(after, p), changes });
    else result.same++;
  });
  for (const p of places.values()) result.gone.push(named(before, p));

  for (const { change, counts } of kept)
    change.moves = [...counts].sort((a, b) => b[1] - a[1]).map(([move, products]) => ({ ...move, products }));
  const came = new Map(kept.map(({ change }) => [change.field.key, change]));
  result.fields = [
    ...stored(after).map((field) => came.get(field.key) ?? fieldChange(field, "added")),
    ...stored(before).flatMap((field) => (after.columns.has(field.key) ? [] : [fieldChange(field, "gone")])),
  ].filter(
    ({ state, products, newValues, goneValues }) =>
      state !== "kept" || products + newValues.length + goneValues.length > 0,
  );
  return result;
}

function named(catalogue: Catalogue, product: number): NamedProduct {
  return { id: catalogue.productIds[product] ?? "", title: titleOf(catalogue, product) };
}

/** The variants of a product: the first and the one after the last. */
type Variants = readonly [from: number, to: number];

const variantsOf = ({ variantStart }: Catalogue, product: number): Variants => [
  variantStart[product] ?? 0,
  variantStart[product + 1] ?? 0,
];

/** Everything a product states for a field, variant by variant, as one text. */
export function cellsOf(catalogue: Catalogue, { key }: Field, product: number): string {
  const column = catalogue.columns.get(key);
  if (!column) return "";
  const { spellings, starts, codes } = column;
  const [from, to] = variantsOf(catalogue, product);
  let text = "";
  for (let v = from; v < to; v++) {
    for (let i = starts[v] ?? 0; i < (starts[v + 1] ?? 0); i++) text += `${spellings[codes[i] ?? 0]}|`;
    text += "\n";
  }
  return text;
}

/** Whether some variants differ between two columns; compares codes without touching any text. */
function cellComparer(was: Column, is: Column): (old: Variants, now: Variants) => boolean {
  const codeOf = new Map(was.spellings.map((text, code) => [text, code]));
  const before = Int32Array.from(is.spellings, (text) => codeOf.get(text) ?? -1);
  return ([oldFrom, oldTo], [from, to]) => {
    if (oldTo - oldFrom !== to - from) return true;
    for (let v = from, old = oldFrom; v < to; v++, old++) {
      const [start, end] = [is.starts[v] ?? 0, is.starts[v + 1] ?? 0];
      const oldStart = was.starts[old] ?? 0;
      if ((was.starts[old + 1] ?? 0) - oldStart !== end - start) return true;
      for (let i = start; i < end; i++) if (before[is.codes[i] ?? 0] !== was.codes[oldStart + i - start]) return true;
    }
    return false;
  };
}

/** Everything a variant states in a column, for display. */
function cellText(column: Column, variant: number): string {
  const start = column.starts[variant] ?? 0;
  // Fast path: most cells hold one value, and a catalogue has millions of them.
  if ((column.starts[variant + 1] ?? 0) - start === 1) return column.spellings[column.codes[start] ?? 0] ?? "";
  return valuesAt(column, variant).join(", ");
}

/** Interns changes, since many products can share the same one. */
function onlyOnce(): (was: string, is: string) => ValueMove {
  const known = new Map<string, ValueMove>();
  return (was, is) => {
    const name = `${was}\n${is}`;
    const move = known.get(name) ?? { was, is };
    known.set(name, move);
    return move;
  };
}

/** The differences variant by variant if their number is unchanged; otherwise between the sets of all their values. */
function movesOf(
  was: Column,
  [oldFrom, oldTo]: Variants,
  is: Column,
  [from, to]: Variants,
  once: ReturnType<typeof onlyOnce>,
): ValueMove[] {
  if (oldTo - oldFrom !== to - from) {
    const [old, now] = [allText(was, oldFrom, oldTo), allText(is, from, to)];
    return [old === now ? once(`${oldTo - oldFrom} variants`, `${to - from} variants`) : once(old, now)];
  }
  const moves = new Set<ValueMove>();
  for (let v = from, old = oldFrom; v < to; v++, old++) {
    const [before, now] = [cellText(was, old), cellText(is, v)];
    if (before !== now) moves.add(once(before, now));
  }
  return [...moves];
}

/** All values of a range of variants in a column, each once, for display. */
function allText(column: Column, from: number, to: number): string {
  const values = new Set<string>();
  for (let v = from; v < to; v++) for (const value of valuesAt(column, v)) values.add(value);
  return [...values].join(", ");
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

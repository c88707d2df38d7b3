import { type Catalogue, type Column, titleField } from "../catalogue/catalogue.ts";
import type { CatalogueChange } from "../catalogue/compare.ts";
import { type Field, isFacetable } from "../catalogue/field.ts";
import { isNumeric } from "../catalogue/field-kinds.ts";
import { identity } from "../catalogue/identity.ts";
import { likeness } from "./likeness.ts";
import { isRenamed, oneToOne } from "./renamed.ts";
import { type SharedProducts, sharedProducts } from "./shared-products.ts";

/** A removed value and an added one of the same field that are probably the same. */
export interface RenamedValue {
  field: Pick<Field, "key" | "name">;
  from: string;
  to: string;
  /** Products that changed from the old value to the new one, out of those that had the old one and still exist. */
  same: number;
  of: number;
}

/** Maximum number of values to compare; beyond that the field is a different one. */
const compared = 500;

/** Removed values that were probably renamed; most certain first, each value once. */
export function renamedValues(before: Catalogue, after: Catalogue, { fields }: CatalogueChange): RenamedValue[] {
  const shared = sharedProducts(before, after);
  const title = titleField(after)?.key;
  return fields.flatMap(({ field, state, newValues, goneValues }) => {
    const named = isFacetable(field) && !isNumeric(field) && field.key !== title;
    if (state !== "kept" || !named || newValues.length === 0 || goneValues.length === 0) return [];
    if (Math.max(newValues.length, goneValues.length) > compared) return [];
    return renamedIn(before, after, field, goneValues, newValues, shared);
  });
}

function renamedIn(
  before: Catalogue,
  after: Catalogue,
  { key, name }: Field,
  goneValues: readonly string[],
  newValues: readonly string[],
  shared: SharedProducts,
): RenamedValue[] {
  const [was, is] = [before.columns.get(key), after.columns.get(key)];
  if (!was || !is) return [];
  const [gone, come] = [stating(before, was, goneValues), stating(after, is, newValues)];
  const total = new Map<string, number>();
  const together = new Map<string, number>();
  for (const [old, now] of shared) {
    const lost = gone(old);
    if (lost.size === 0) continue;
    const won = come(now);
    for (const from of lost) {
      total.set(from, (total.get(from) ?? 0) + 1);
      for (const to of won) together.set(`${from}\n${to}`, (together.get(`${from}\n${to}`) ?? 0) + 1);
    }
  }
  const pairs = goneValues.flatMap((from) =>
    newValues.flatMap((to) => {
      const of = total.get(from) ?? 0;
      const same = together.get(`${from}\n${to}`) ?? 0;
      const [share, like] = [of === 0 ? 0 : same / of, likeness(from, to)];
      return isRenamed(share, like) ? [{ from, to, same, of, sure: share + like }] : [];
    }),
  );
  pairs.sort((a, b) => b.sure - a.sure);
  const surest = oneToOne(
    pairs,
    ({ from }) => from,
    ({ to }) => to,
  );
  return surest.map(({ from, to, same, of }) => ({ field: { key, name }, from, to, same, of }));
}

/** For each product, which of some values it states. */
function stating({ variantStart }: Catalogue, { spellings, starts, codes }: Column, values: readonly string[]) {
  const wanted = new Map(values.map((value) => [identity(value), value]));
  const byCode = spellings.map((text) => wanted.get(identity(text)));
  return (product: number): ReadonlySet<string> => {
    const found = new Set<string>();
    const end = starts[variantStart[product + 1] ?? 0] ?? 0;
    for (let i = starts[variantStart[product] ?? 0] ?? 0; i < end; i++) {
      const value = byCode[codes[i] ?? 0];
      if (value !== undefined) found.add(value);
    }
    return found;
  };
}

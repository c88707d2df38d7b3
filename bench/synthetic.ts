import { Random } from "../demo/random.ts";
import { assembleCatalogue, type SourceProduct } from "../src/core/catalogue/assemble.ts";
import type { Catalogue } from "../src/core/catalogue/catalogue.ts";
import type { Field } from "../src/core/catalogue/field.ts";

/** How many values each discrete field has; those at `several` hold up to three values in a cell. */
const cardinalities = [2, 3, 5, 8, 12, 20, 30, 50, 75, 100];
const several = [4, 7];
/** Fields that differ between variants, in the catalogue with variants. */
const byVariant = [2, 5, 6];
export const fieldKeys = cardinalities.map((values, f) => `f${f}-${values}`);

/** One selection: for some fields, the values chosen (any-of). */
export type Picks = Record<string, string[]>;

const fields: Field[] = [
  ...fieldKeys.map((key): Field => ({ key, name: key, role: "attribute", kind: "text" })),
  { key: "price", name: "Price", role: "price", kind: "number" },
];

/** Seeded rows of a catalogue: ten discrete fields of 2 to 100 values, skewed as real ones are, and price. */
export function syntheticProducts(products: number, variants: number): SourceProduct[] {
  const random = new Random(products * 31 + variants);
  // Squaring draws low values more often, as in real catalogues.
  const draw = (f: number) => `v${Math.floor(random.next() ** 2 * cardinalities[f])}`;
  const cell = (f: number) =>
    several.includes(f) ? [...new Set(Array.from({ length: random.whole(1, 3) }, () => draw(f)))].join("|") : draw(f);
  return Array.from({ length: products }, (_, p) => {
    const shared = cardinalities.map((_, f) => cell(f));
    const price = random.whole(1, 500);
    const rows = Array.from({ length: variants }, () => [
      ...shared.map((value, f) => (variants > 1 && byVariant.includes(f) ? cell(f) : value)),
      String(variants > 1 ? price + random.whole(0, 20) : price),
    ]);
    return { id: `p${p}`, rows };
  });
}

export const syntheticCatalogue = (products: readonly SourceProduct[]): Catalogue =>
  assembleCatalogue(fields, products);

/** Twenty selections of one to three facets with one to three values each. */
export function selections(): Picks[] {
  const random = new Random(77);
  return Array.from({ length: 20 }, (_, i) => {
    const chosen = random.some(
      fieldKeys.map((_, f) => f),
      1 + (i % 3),
    );
    return Object.fromEntries(
      chosen.map((f) => [
        fieldKeys[f],
        [...new Set(Array.from({ length: random.whole(1, 3) }, () => `v${random.whole(0, cardinalities[f] - 1)}`))],
      ]),
    );
  });
}

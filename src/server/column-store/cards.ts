import { type Catalogue, ColumnBuilder } from "../../core/catalogue/catalogue.ts";
import { cardOf, type Shown } from "../../core/engine/cards/card.ts";
import type { Card } from "../../core/engine/cards/card-schema.ts";
import { CatalogueIndex } from "../../core/engine/index/catalogue-index.ts";
import type { Shard } from "./shard.ts";
import { uint } from "./sql.ts";
import type { StoredCatalogue } from "./stored-catalogue.ts";

type StoredRow = [product: number, id: string, raw: string[], fits: number[]];

/** A small catalogue of some products, and which of its variants fit. */
interface Rows {
  index: CatalogueIndex;
  matching: readonly boolean[];
}

/**
 * The cards of some products.
 * @param products their numbers, in order
 * @param fits for each variant whether it meets the page’s conditions and the selection, as an expression
 */
export async function cardsOf(
  shards: readonly Shard[],
  table: string,
  stored: StoredCatalogue,
  products: readonly number[],
  fits: string,
  show: Shown | undefined,
): Promise<Card[]> {
  if (products.length === 0) return [];
  const { index, matching } = await rowsOf(shards, table, stored, products, fits);
  return products.map((_, at) => cardOf(index, at, (variant) => matching[variant] === true, show));
}

/** The rows of some products as a catalogue; see {@link cardsOf}. */
export async function rowsOf(
  shards: readonly Shard[],
  table: string,
  { fields }: StoredCatalogue,
  products: readonly number[],
  fits: string,
): Promise<Rows> {
  const found = await Promise.all(
    shards.map((shard, at) => {
      const own = products.filter((product) => product % shards.length === at);
      if (own.length === 0) return [];
      return shard.rows<StoredRow>(
        `SELECT product, id, raw, ${fits} FROM ${table} WHERE product IN (${own.map(uint).join(", ")})`,
      );
    }),
  );
  const byProduct = new Map(found.flat().map((row) => [row[0], row]));
  const columns = fields.map(() => new ColumnBuilder());
  const starts = [0];
  const ids: string[] = [];
  const matching: boolean[] = [];
  for (const product of products) {
    const [, id, raw, fit] = byProduct.get(product) ?? [product, "", [], []];
    raw.forEach((variant, at) => {
      const values: string[][] = JSON.parse(variant);
      columns.forEach((column, place) => {
        column.add(values[place] ?? []);
      });
      matching.push(fit[at] === 1);
    });
    starts.push((starts.at(-1) ?? 0) + raw.length);
    ids.push(id);
  }
  const catalogue: Catalogue = {
    // Whether a field varies is known from the whole catalogue.
    fields: fields.map(({ field, level }) => ({ ...field, level })),
    columns: new Map(fields.map(({ field }, at) => [field.key, columns[at]?.build() ?? noColumn])),
    productIds: ids,
    variantStart: Uint32Array.from(starts),
  };
  return { index: new CatalogueIndex(catalogue), matching };
}

const noColumn = { spellings: [], starts: new Uint32Array(1), codes: new Uint32Array() };

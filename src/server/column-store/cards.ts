import { type Catalogue, ColumnBuilder } from "../../core/catalogue/catalogue.ts";
import { cardOf, type Shown } from "../../core/engine/cards/card.ts";
import type { Card } from "../../core/engine/cards/card-schema.ts";
import { CatalogueIndex } from "../../core/engine/index/catalogue-index.ts";
import type { Shard } from "./shard.ts";
import { uints } from "./sql.ts";
import type { StoredCatalogue } from "./stored-catalogue.ts";

type StoredRow = [product: number, id: string, raw: string, fits: number];

/** A small catalogue of some products, and which of its variants fit. */
interface Rows {
  index: CatalogueIndex;
  matching: readonly boolean[];
}

/**
 * The cards of some products.
 * @param products their numbers, in order
 * @param fits whether a row meets the page’s conditions and the selection, as an expression
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
        `SELECT product, id, raw, (${fits}) FROM ${table} WHERE product IN (SELECT arrayJoin(${uints(own)})) ORDER BY product, variant`,
      );
    }),
  );
  const rowsOf = new Map<number, StoredRow[]>();
  for (const row of found.flat()) rowsOf.set(row[0], [...(rowsOf.get(row[0]) ?? []), row]);
  const columns = fields.map(() => new ColumnBuilder());
  const starts = [0];
  const ids: string[] = [];
  const matching: boolean[] = [];
  for (const product of products) {
    const rows = rowsOf.get(product) ?? [];
    for (const [, , raw, row] of rows) {
      const values: string[][] = JSON.parse(raw);
      columns.forEach((column, at) => {
        column.add(values[at] ?? []);
      });
      matching.push(row === 1);
    }
    starts.push((starts.at(-1) ?? 0) + rows.length);
    ids.push(rows[0]?.[1] ?? "");
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

import type { Column } from "../../core/catalogue/catalogue.ts";
import { toNumber } from "../../core/catalogue/field-kinds.ts";
import type { CatalogueIndex } from "../../core/engine/index/catalogue-index.ts";
import { codeOptions } from "../../core/engine/index/facet-index.ts";
import { words } from "../../core/engine/index/words.ts";
import { RowBinary } from "./row-binary.ts";
import type { Shard } from "./shard.ts";
import { columnsOf, hasLevels, type StoredCatalogue, storeFormat, tablesOf } from "./stored-catalogue.ts";

/** Size from which rows are sent, in bytes. */
const batch = 16 * 1024 * 1024;

/**
 * Loads an indexed catalogue into the shards of a column store, each product with its variants into one of them.
 * Tables of the same content are replaced.
 * @throws StoreFault
 */
export async function loadCatalogue(index: CatalogueIndex, hash: string, shards: readonly Shard[]): Promise<void> {
  const { rows, about } = tablesOf(hash);
  const { fields } = index.catalogue;
  const columns = fields.flatMap(({ key }, at) => {
    const { options, tree, numbers, places, words: tokens } = columnsOf(at);
    // A field that varies has a list for each variant.
    const list = (type: string) => (index.level(key) === "variant" ? `Array(Array(${type}))` : `Array(${type})`);
    return [
      `${options} ${list("UInt32")}`,
      `${tree} ${list("UInt32")}`,
      `${numbers} ${list("Float64")}`,
      `${places} ${list("Float64")}`,
      `${tokens} Array(String)`,
    ];
  });
  const shape = ["product UInt32", "id String", "raw Array(String)", ...columns].join(", ");
  await Promise.all(
    shards.map(async (shard) => {
      for (const table of [about, rows]) await shard.run(`DROP TABLE IF EXISTS ${table}`);
      await shard.run(`CREATE TABLE ${rows} (${shape}) ENGINE = MergeTree ORDER BY product`);
      await shard.run(`CREATE TABLE ${about} (text String) ENGINE = MergeTree ORDER BY tuple()`);
    }),
  );
  const write = rowWriter(index);
  const buffers = shards.map(() => new RowBinary());
  // Rows are made while a shard takes the last ones.
  const sent: Promise<unknown>[] = shards.map(() => Promise.resolve());
  for (let product = 0; product < index.products; product++) {
    const at = product % shards.length;
    const [buffer, shard] = [buffers[at], shards[at]];
    if (!buffer || !shard) continue;
    write(product, buffer);
    if (buffer.size <= batch) continue;
    await sent[at];
    sent[at] = shard.insert(rows, buffer.take());
    // Reported when it is waited for.
    sent[at]?.catch(() => {});
  }
  await Promise.all(
    shards.map(async (shard, at) => {
      const rest = buffers[at];
      await sent[at];
      if (rest && rest.size > 0) await shard.insert(rows, rest.take());
    }),
  );
  // Last, so that half of a load is never used.
  const stored = describe(index, hash, shards.length);
  await Promise.all(
    shards.map(async (shard, at) => {
      const bytes = new RowBinary();
      bytes.text(JSON.stringify({ ...stored, shard: at } satisfies StoredCatalogue));
      await shard.insert(about, bytes.take());
    }),
  );
}

function describe(index: CatalogueIndex, hash: string, shards: number): Omit<StoredCatalogue, "shard"> {
  const { fields, columns } = index.catalogue;
  return {
    format: storeFormat,
    hash,
    products: index.products,
    variants: index.variants,
    shards,
    fields: fields.map((field) => {
      const { spellings = [], codes = new Uint32Array() } = columns.get(field.key) ?? {};
      const uses = new Array<number>(spellings.length).fill(0);
      for (const code of codes) uses[code] = (uses[code] ?? 0) + 1;
      return { field, level: index.level(field.key), spellings, uses };
    }),
  };
}

/** Writes the row of a product. */
function rowWriter(index: CatalogueIndex): (product: number, to: RowBinary) => void {
  const { catalogue } = index;
  const fields = catalogue.fields.map((field) => {
    const { spellings, starts, codes } = catalogue.columns.get(field.key) ?? noColumn;
    const codesAs = (tree: boolean) => codeOptions(spellings, new Uint32Array(spellings.length), tree).optionsOfCode;
    const plain = codesAs(false);
    const tree = hasLevels(spellings) ? codesAs(true) : undefined;
    const numbers = spellings.map((text) => toNumber(text, field.kind));
    const places = index.places(field.key);
    const tokens = spellings.map(words);
    const texts = spellings.map((text) => JSON.stringify(text));
    const varies = index.level(field.key) === "variant";
    const codesOf = (variant: number) => Array.from(codes.subarray(starts[variant] ?? 0, starts[variant + 1] ?? 0));
    return { varies, codesOf, plain, tree, numbers, places, tokens, texts };
  });
  return (product, to) => {
    const [from, end] = [catalogue.variantStart[product] ?? 0, catalogue.variantStart[product + 1] ?? 0];
    to.uint32(product);
    to.text(catalogue.productIds[product] ?? "");
    const variants = Array.from({ length: end - from }, (_, at) => from + at);
    // The JSON of each variant's values, field by field.
    to.texts(
      variants.map((variant) => {
        const values = fields.map(({ codesOf, texts }) => `[${codesOf(variant).map((code) => texts[code] ?? '""')}]`);
        return `[${values}]`;
      }),
    );
    for (const { varies, codesOf, plain, tree, numbers, places, tokens } of fields) {
      const each = variants.map(codesOf);
      const whole = each.flat();
      const placesOf = (codes: readonly number[]) => distinct(codes.map((code) => places[code] ?? Number.NaN));
      // A product's own field is that of its first variant; it is sorted and searched by what any of them states.
      const stated = varies ? each : each.slice(0, 1);
      const optionLists = (of: readonly (readonly number[])[]) =>
        stated.map((codes) => [...new Set(codes.flatMap((code) => of[code] ?? []))]);
      const none = stated.map(() => []);
      to.lists(optionLists(plain), varies, (list) => to.uint32s(list));
      to.lists(tree ? optionLists(tree) : none, varies, (list) => to.uint32s(list));
      to.lists(
        stated.map((codes) => codes.map((code) => numbers[code] ?? Number.NaN).filter((value) => !Number.isNaN(value))),
        varies,
        (list) => to.floats(list),
      );
      to.lists(varies ? each.map(placesOf) : [placesOf(whole)], varies, (list) => to.floats(list));
      to.texts([...new Set(whole.flatMap((code) => tokens[code] ?? []))]);
    }
  };
}

const noColumn: Column = { spellings: [], starts: new Uint32Array(1), codes: new Uint32Array() };

/** Numbers without repeats. */
const distinct = (values: readonly number[]): number[] => [...new Set(values)].filter((value) => !Number.isNaN(value));

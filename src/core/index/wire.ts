import type { Catalogue, Column } from "../catalogue/catalogue.ts";
import type { Field } from "../catalogue/field.ts";

/** Version of the wire form; a reader refuses another. */
export const wireFormat = 1;

/** A catalogue as JSON: columns stay dictionary-coded, variants that state nothing cost one character. */
export interface WireCatalogue {
  format: number;
  productIds: string[];
  /** Variants of each product. */
  variants: number[];
  columns: (Field & { spellings: string[]; codes: (number | number[])[] })[];
}

/** Packs the fields that pass `keep`; a variant's codes are a number for one value, a list otherwise. */
export function packCatalogue(catalogue: Catalogue, keep: (field: Field) => boolean = () => true): WireCatalogue {
  const { variantStart, productIds } = catalogue;
  return {
    format: wireFormat,
    productIds,
    variants: productIds.map((_, p) => variantStart[p + 1] - variantStart[p]),
    columns: catalogue.fields.filter(keep).map((field) => {
      const { spellings, starts, codes } = catalogue.columns.get(field.key) as Column;
      const cells: (number | number[])[] = [];
      for (let v = 0; v + 1 < starts.length; v++) {
        const own = Array.from(codes.subarray(starts[v], starts[v + 1]));
        cells.push(own.length === 1 ? own[0] : own);
      }
      return { ...field, spellings, codes: cells };
    }),
  };
}

/** The other way round of {@link packCatalogue}. @throws RangeError when the format is another version's */
export function unpackCatalogue(wire: WireCatalogue): Catalogue {
  if (wire.format !== wireFormat) throw new RangeError(`The catalogue has format ${wire.format}; this program reads ${wireFormat}. Reload the page.`);
  const variantStart = new Uint32Array(wire.productIds.length + 1);
  wire.variants.forEach((variants, p) => {
    variantStart[p + 1] = variantStart[p] + variants;
  });
  const columns = new Map<string, Column>();
  const fields = wire.columns.map(({ spellings, codes, ...field }) => {
    const starts = new Uint32Array(codes.length + 1);
    const flat: number[] = [];
    codes.forEach((cell, v) => {
      if (typeof cell === "number") flat.push(cell);
      else flat.push(...cell);
      starts[v + 1] = flat.length;
    });
    columns.set(field.key, { spellings, starts, codes: Uint32Array.from(flat) });
    return field;
  });
  return { fields, columns, productIds: wire.productIds, variantStart };
}

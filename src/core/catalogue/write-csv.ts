import Papa from "papaparse";
import type { Catalogue, Column } from "./catalogue.ts";
import { joinValues } from "./table.ts";

/** Writes a catalogue as CSV (RFC 4180), one row a variant; reading it gives the same catalogue back. */
export function writeCsv(catalogue: Catalogue): string {
  const fields = catalogue.fields.filter(({ role }) => role !== "product_id" && role !== "availability" && role !== "on_sale");
  const header = ["product_id", ...fields.map(({ role, name }) => (role === "attribute" ? name : role))];
  const { productIds, variantStart, columns } = catalogue;
  const rows = productIds.flatMap((id, p) =>
    Array.from({ length: variantStart[p + 1] - variantStart[p] }, (_, i) => {
      const variant = variantStart[p] + i;
      return [
        id,
        ...fields.map(({ key }) => {
          const { spellings, starts, codes } = columns.get(key) as Column;
          const values = Array.from(codes.subarray(starts[variant], starts[variant + 1]), (code) => spellings[code]);
          // A whole text is one value, and what stands in it stays.
          return values.length === 1 ? values[0] : joinValues(values);
        }),
      ];
    }),
  );
  return `${Papa.unparse([header, ...rows])}\r\n`;
}

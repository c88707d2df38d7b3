import Papa from "papaparse";
import { type Catalogue, valuesOf } from "./catalogue.ts";
import { isDerived } from "./field.ts";
import { joinValues } from "./table.ts";

/** Writes a catalogue as CSV (RFC 4180), one row a variant; reading it gives the same catalogue back. */
export function writeCsv(catalogue: Catalogue): string {
  const fields = catalogue.fields.filter((field) => field.role !== "product_id" && !isDerived(field));
  const header = ["product_id", ...fields.map(({ role, name }) => (role === "attribute" ? name : role))];
  const { productIds, variantStart } = catalogue;
  const rows = productIds.flatMap((id, p) =>
    Array.from({ length: (variantStart[p + 1] ?? 0) - (variantStart[p] ?? 0) }, (_, i) => {
      const variant = (variantStart[p] ?? 0) + i;
      return [
        id,
        ...fields.map(({ key }) => {
          const values = valuesOf(catalogue, key, variant);
          // A whole text is one value, and what stands in it stays.
          return values.length === 1 ? values[0] : joinValues(values);
        }),
      ];
    }),
  );
  return `${Papa.unparse([header, ...rows])}\r\n`;
}

import Papa from "papaparse";
import { type Catalogue, valuesOf } from "./catalogue.ts";
import { isDerived } from "./field.ts";
import { joinValues } from "./table.ts";

/**
 * Writes a catalogue as CSV (RFC 4180), one row per variant; reading it returns the same catalogue.
 * @param units written after numbers that have one; none by default
 */
export function writeCsv(catalogue: Catalogue, units = false): string {
  const fields = catalogue.fields.filter((field) => field.role !== "product_id" && !isDerived(field));
  const header = ["product_id", ...fields.map(({ role, name }) => (role === "attribute" ? name : role))];
  const { productIds, variantStart } = catalogue;
  const rows = productIds.flatMap((id, p) =>
    Array.from({ length: (variantStart[p + 1] ?? 0) - (variantStart[p] ?? 0) }, (_, i) => {
      const variant = (variantStart[p] ?? 0) + i;
      return [
        id,
        ...fields.map(({ key, unit }) => {
          const stated = valuesOf(catalogue, key, variant);
          const values = units && unit ? stated.map((value) => `${value} ${unit}`) : stated;
          // A whole text is one value and is not split.
          return values.length === 1 ? values[0] : joinValues(values);
        }),
      ];
    }),
  );
  return `${Papa.unparse([header, ...rows])}\r\n`;
}

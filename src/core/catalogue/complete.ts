import type { Catalogue, Column } from "./catalogue.ts";
import { addDerived } from "./derive.ts";
import { type Field, type FieldRole, isDerived, isWholeText } from "./field.ts";
import { inferKind, parseNumber } from "./field-kinds.ts";

/** Fields whose values are numbers by definition; others are judged by what they hold. */
export const mustBeNumber: ReadonlySet<FieldRole> = new Set(["price", "list_price", "stock", "rating", "reviews"]);

/** Computed from the catalogue's own columns, whenever it is opened; which collections there are is the pages' affair. */
const isRecomputed = (field: Field): boolean => isDerived(field) && field.role !== "collections";

/** A catalogue with each field's kind judged anew and its computed fields worked out anew, from what its columns hold. */
export function completeCatalogue(source: Catalogue): Catalogue {
  const fields = source.fields.filter((field) => !isRecomputed(field));
  const catalogue: Catalogue = {
    ...source,
    fields: fields.map((field) => ({ ...field, kind: kindOf(field, source.columns.get(field.key)) })),
    columns: new Map(
      fields.flatMap(({ key }) => {
        const column = source.columns.get(key);
        return column ? [[key, column] as const] : [];
      }),
    ),
  };
  addDerived(catalogue);
  return catalogue;
}

/** A catalogue without the fields that are computed from it again: what is stored and what leaves the tool. */
export function storedPart(catalogue: Catalogue): Catalogue {
  const fields = catalogue.fields.filter((field) => !isRecomputed(field));
  const columns = new Map(catalogue.columns);
  for (const field of catalogue.fields) if (isRecomputed(field)) columns.delete(field.key);
  return { ...catalogue, fields, columns };
}

function kindOf({ role, given }: Field, column: Column | undefined): Field["kind"] {
  // Stock can be said in words alone.
  if (role === "stock" && !column?.spellings.some((value) => !Number.isNaN(parseNumber(value)))) return "text";
  if (mustBeNumber.has(role)) return "number";
  if (given) return given;
  if (role === "category") return "path";
  if (role === "collections") return "text";
  return isWholeText(role) ? "text" : inferKind(column?.spellings ?? []);
}

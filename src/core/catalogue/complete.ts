import type { Catalogue, Column } from "./catalogue.ts";
import { addDerived } from "./derive.ts";
import { type Field, type FieldRole, isDerived, isWholeText } from "./field.ts";
import { inferKind, parseNumber } from "./field-kinds.ts";

/** Fields whose values are numbers by definition; the kind of others is inferred. */
export const mustBeNumber: ReadonlySet<FieldRole> = new Set(["price", "list_price", "stock", "rating", "reviews"]);

/**
 * Computed from the catalogue's own columns whenever it is opened. Collections are not: they are defined in the pages
 * document.
 */
const isRecomputed = (field: Field): boolean => isDerived(field) && field.role !== "collections";

/** A catalogue with each field's kind inferred anew and its computed fields computed anew from its columns. */
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

/** A catalogue without the computed fields: the part that is stored and exported. */
export function storedPart(catalogue: Catalogue): Catalogue {
  const fields = catalogue.fields.filter((field) => !isRecomputed(field));
  const columns = new Map(catalogue.columns);
  for (const field of catalogue.fields) if (isRecomputed(field)) columns.delete(field.key);
  return { ...catalogue, fields, columns };
}

function kindOf({ role, given }: Field, column: Column | undefined): Field["kind"] {
  // Stock may be given in words alone.
  if (role === "stock" && !column?.spellings.some((value) => !Number.isNaN(parseNumber(value)))) return "text";
  if (mustBeNumber.has(role)) return "number";
  if (given) return given;
  if (role === "category") return "path";
  if (role === "collections") return "text";
  return isWholeText(role) ? "text" : inferKind(column?.spellings ?? []);
}

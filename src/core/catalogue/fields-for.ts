import { type Field, fieldKey, roleNames } from "./field.ts";
import type { Reading } from "./reading-schema.ts";
import { hasHeading, shownName } from "./shown-name.ts";

/**
 * The fields for a table's columns. A column of a field that exists already keeps its key and name.
 * @param columns indices of the columns in use
 * @param known fields of the shop's present catalogue
 */
export function fieldsFor(
  header: readonly string[],
  reading: Reading,
  columns: readonly number[],
  known: readonly Field[],
): Field[] {
  const taken = new Set(known.map(({ key }) => key));
  return columns.map((at): Field => {
    const role = reading[at]?.as as Field["role"];
    const heading = header[at] ?? "";
    const goesOn = reading[at]?.field;
    const old =
      known.find((field) => field.key === goesOn && field.role === role) ??
      known.find((field) => field.role === role && (role !== "attribute" || hasHeading(field, heading)));
    const key = old?.key ?? fieldKey(role === "attribute" ? heading : role, taken);
    taken.add(key);
    const { kind: wanted, titles, unit } = reading[at] ?? { as: "attribute" };
    const name = role === "attribute" ? (old?.name ?? shownName(heading)) : roleNames[role];
    return {
      key,
      name,
      role,
      kind: "text",
      ...(wanted ? { given: wanted } : {}),
      ...(unit ? { unit } : {}),
      ...(titles ? { titles } : {}),
    };
  });
}

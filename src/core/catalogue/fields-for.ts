import { type Field, fieldKey, roleNames } from "./field.ts";
import { headingUnit } from "./numbers/units.ts";
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
    const measured = reading[at]?.unit === undefined ? undefined : headingUnit(heading);
    const old =
      known.find((field) => field.key === goesOn && field.role === role) ??
      known.find((field) => field.role === role && (role !== "attribute" || hasHeading(field, heading))) ??
      known.find(
        (field) => field.role === role && measured?.unit === field.unit && hasHeading(field, measured?.name ?? heading),
      );
    const key = old?.key ?? fieldKey(role === "attribute" ? heading : role, taken);
    taken.add(key);
    const { kind: wanted, titles, unit } = reading[at] ?? { as: "attribute" };
    // The unit stands behind each number, unless the name would be that of a different column.
    const isAlone = measured && !header.some((other) => other !== heading && hasHeading(measured, other));
    const own = shownName(isAlone ? measured.name : heading);
    const name = role === "attribute" ? (old?.name ?? own) : roleNames[role];
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

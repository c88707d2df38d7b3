import { writtenDay } from "../days.ts";
import { type Field, isWholeText } from "../field.ts";
import { fieldKindWords } from "../field-kind-words.ts";
import { kindFacts } from "../field-kinds.ts";
import { identity } from "../identity.ts";
import { isNumberWith, plainNumber } from "../numbers/plain-number.ts";
import { convertMeasure } from "../numbers/units.ts";
import { splitCell } from "../values.ts";
import { isYesOrNo } from "../yes-no.ts";

/** Reads the text typed into a cell as values of its field, or says why that fails. */
export type CellValue = { values: string[] } | { fault: string };

/** Reads what a designer types into a cell: several values are separated by `|`, numbers and days are read as they are usually written. */
export function cellValue(text: string, field: Pick<Field, "name" | "kind" | "role" | "unit">): CellValue {
  const typed = splitCell(text, isWholeText(field.role));
  const values = typed.map((value) => readValue(value, field));
  const at = values.indexOf(undefined);
  if (at < 0) return { values: values.filter((value) => value !== undefined) };
  return { fault: `“${typed[at]}” is not ${fieldKindWords[field.kind].one}. ${hint(field)}` };
}

function hint({ kind, name, unit }: Pick<Field, "name" | "kind" | "unit">): string {
  const { label, one, example } = fieldKindWords[kind];
  if (example === undefined) return `${name} contains ${one}.`;
  return `${name} contains ${label}s${unit ? ` in ${unit}` : ""}, such as ${example}.`;
}

function readValue(text: string, { kind, unit }: Pick<Field, "kind" | "unit">): string | undefined {
  const { line, amounts, days, twoValued } = kindFacts({ kind });
  if (!line) return twoValued && !isYesOrNo(identity(text)) ? undefined : text;
  const has = (value: string) => (Number.isNaN(line.parse(value)) ? undefined : value);
  if (days) return has(writtenDay(text, "dmy") ?? text);
  if (!amounts || has(text) !== undefined) return has(text);
  const measured = unit ? convertMeasure(text, unit) : undefined;
  // In “1,234” the comma may group thousands; in “12,50” it can only be a decimal mark.
  return has(measured ?? plainNumber(text, isNumberWith(text, ".") ? "." : ","));
}

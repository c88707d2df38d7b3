import { writtenDay } from "../days.ts";
import { type Field, isWholeText } from "../field.ts";
import { identity } from "../identity.ts";
import { convertMeasure } from "../numbers/units.ts";
import { isNumberWith, plainNumber } from "../reading.ts";
import { parseDay, parseNumber, splitCell } from "../values.ts";
import { isYesOrNo } from "../yes-no.ts";

/** Reads the text typed into a cell as values of its field, or says why that fails. */
export type CellValue = { values: string[] } | { fault: string };

/** Reads what a designer types into a cell: several values are parted by `|`, numbers and days are read as they are usually written. */
export function cellValue(text: string, field: Pick<Field, "name" | "kind" | "role" | "unit">): CellValue {
  const typed = splitCell(text, isWholeText(field.role));
  const values = typed.map((value) => readValue(value, field));
  const at = values.indexOf(undefined);
  if (at < 0) return { values: values.filter((value) => value !== undefined) };
  return { fault: `“${typed[at]}” is not ${wanted[field.kind] ?? "a value"}. ${hints(field)}` };
}

const wanted: Partial<Record<Field["kind"], string>> = { number: "a number", date: "a date", "yes-no": "yes or no" };

const hints = ({ kind, name, unit }: Pick<Field, "name" | "kind" | "unit">): string =>
  ({
    number: `${name} contains numbers${unit ? ` in ${unit}` : ""}, such as 12.50.`,
    date: `${name} contains dates, such as 2026-03-31.`,
    "yes-no": `${name} contains yes or no.`,
  })[kind as string] ?? "";

function readValue(text: string, { kind, unit }: Pick<Field, "kind" | "unit">): string | undefined {
  if (kind === "number") {
    if (!Number.isNaN(parseNumber(text))) return text;
    const measured = unit ? convertMeasure(text, unit) : undefined;
    // “1,234” has a group where a comma is no decimal mark; “12,50” can only be a decimal comma.
    const plain = measured ?? plainNumber(text, isNumberWith(text, ".") ? "." : ",");
    return Number.isNaN(parseNumber(plain)) ? undefined : plain;
  }
  if (kind === "date") {
    const day = writtenDay(text, "dmy") ?? text;
    return Number.isNaN(parseDay(day)) ? undefined : day;
  }
  if (kind === "yes-no") return isYesOrNo(identity(text)) ? text : undefined;
  return text;
}

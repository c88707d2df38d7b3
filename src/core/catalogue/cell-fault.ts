import { mustBeNumber } from "./complete.ts";
import type { Field } from "./field.ts";
import { fieldKindWords } from "./field-kind-words.ts";
import { isDay, kindFacts } from "./field-kinds.ts";
import { availabilityOf } from "./stock-words.ts";
import { splitCell } from "./values.ts";

const noNumber =
  "This is not a number, so the cell counts as empty. Write it like 1234.50, or choose the number format of this column.";
const noStock =
  "This is neither a number nor a known stock status, so availability is unknown. Write a number, or “in stock” or “out of stock”.";
const noDay =
  "This is not a date, so the cell counts as empty. Write it like 2026-03-31, or choose the date format of this column.";

const noValue = (one: string, example = "") =>
  `This is not ${one}, so the cell counts as empty. Write it like ${example}, or use the column as text.`;

/**
 * Returns a check for the cells of a field that must be numbers, years or days: it says what is wrong with a cell, if
 * anything.
 */
export function faultFinder({ role, given }: Field): ((cell: string) => string | undefined) | undefined {
  const kind = mustBeNumber.has(role) ? "number" : (given ?? "text");
  const { line, amounts } = kindFacts({ kind });
  if (!line) return undefined;
  const { one, example } = fieldKindWords[kind];
  const message = amounts ? noNumber : isDay({ kind }) ? noDay : noValue(one, example);
  const isKnown = (value: string) =>
    !Number.isNaN(line.parse(value)) || (role === "stock" && availabilityOf(value) !== undefined);
  return (cell) => (splitCell(cell, false).every(isKnown) ? undefined : role === "stock" ? noStock : message);
}

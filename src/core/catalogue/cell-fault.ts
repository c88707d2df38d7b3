import { mustBeNumber } from "./complete.ts";
import type { Field } from "./field.ts";
import { parseDay, parseNumber } from "./field-kinds.ts";
import { availabilityOf } from "./stock-words.ts";
import { splitCell } from "./values.ts";

const noNumber =
  "This is not a number, so the cell counts as empty. Write it like 1234.50, or choose the number format of this column.";
const noStock =
  "This is neither a number nor a known stock status, so availability is unknown. Write a number, or “in stock” or “out of stock”.";
const noDay =
  "This is not a date, so the cell counts as empty. Write it like 2026-03-31, or choose the date format of this column.";

/**
 * Returns a check for the cells of a field that must be numbers or days: it says what is wrong with a cell, if
 * anything.
 */
export function faultFinder({ role, given }: Field): ((cell: string) => string | undefined) | undefined {
  const number = mustBeNumber.has(role) || given === "number";
  if (!number && given !== "date") return undefined;
  const parse = number ? parseNumber : parseDay;
  const message = number ? noNumber : noDay;
  const isKnown = (value: string) =>
    !Number.isNaN(parse(value)) || (role === "stock" && availabilityOf(value) !== undefined);
  return (cell) => (splitCell(cell, false).every(isKnown) ? undefined : role === "stock" ? noStock : message);
}

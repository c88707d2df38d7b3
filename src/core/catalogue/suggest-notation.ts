import { mustBeNumber } from "./complete.ts";
import { dayOrders, writtenDay } from "./days.ts";
import type { FieldRole } from "./field.ts";
import { type FieldKind, parseDay, parseNumber, parseYear } from "./field-kinds.ts";
import { isAmountOfMoney } from "./guess-currency.ts";
import { identity } from "./identity.ts";
import { guessLevels } from "./levels.ts";
import { asciiDigits, type DecimalMark, isNumberWith } from "./numbers/plain-number.ts";
import { areConvertible, findUnits, headingUnit } from "./numbers/units.ts";
import type { ColumnMapping, DateOrder, Separator } from "./reading-schema.ts";
import { splitCapitals } from "./shown-name.ts";

/** Minimum share of cells that must be days or numbers; the others are reported. */
const most = 0.9;

/** The same when the other cells are no more than a few different words, such as “ancient” among years. */
const mostBesideWords = 0.8;
const fewWords = 3;

/** Whether enough cells fit; the others are reported. */
function mostFit(cells: readonly string[], fits: (cell: string) => boolean): boolean {
  const others = cells.filter((cell) => !fits(cell));
  const share = 1 - others.length / cells.length;
  return share >= most || (share >= mostBesideWords && new Set(others.map(identity)).size <= fewWords);
}

const whole: readonly ColumnMapping["as"][] = ["product_id", "sku", "title", "description", "image"];

/**
 * Suggests the notation of a column's cells: of numbers, units, dates, levels and lists, and the kind where cells alone
 * don't show it.
 * @param cells a sample, without empty ones
 * @param every whether all cells of the column fit, empty ones included
 */
export function suggestNotation(
  { as }: ColumnMapping,
  heading: string,
  cells: readonly string[],
  every: (fits: (cell: string) => boolean) => boolean,
): Partial<ColumnMapping> {
  if (cells.length === 0 || whole.includes(as)) return {};
  if (as === "category") {
    const levels = guessLevels(cells);
    return levels === undefined ? {} : { levels };
  }
  const isAttribute = as === "attribute";
  if (isAttribute && areCodes(cells)) return { kind: "text", ...listMark(cells) };
  if (isAttribute && areBits(cells) && every((cell) => ["", "0", "1"].includes(cell))) return { kind: "yes-no" };
  if (isAttribute && areObjects(cells)) return { as: "skip" };
  const years = isAttribute ? yearsIn(heading, cells) : undefined;
  if (years) return years;
  const unit = isAttribute ? headingUnit(heading)?.unit : undefined;
  const measured: Partial<ColumnMapping> = unit === undefined ? {} : { kind: "number", unit };
  const share = (fits: (cell: string) => boolean) => cells.filter(fits).length / cells.length;
  if (share((cell) => !Number.isNaN(parseNumber(cell))) === 1) return measured;
  if (share((cell) => !Number.isNaN(parseDay(cell))) === 1) return {};
  const days = share((cell) => dayOrders(cell) !== undefined);
  if (days >= most) return writtenDays(cells, days);
  const known = mustBeNumber.has(as as FieldRole);
  if (isAttribute && areNumberLists(cells)) return { separator: "," };
  const numbers = writtenNumbers(cells, known);
  if (numbers) return { ...numbers, ...measured };
  const units = findUnits(cells);
  if (units && units.matching >= cells.length * most) {
    const uneven = units.units.length > 1 || units.fractions;
    if (areConvertible(units.units) && (uneven || manyDifferent(cells)))
      return { kind: "number", unit: units.unit, ...(units.decimal === "," ? { decimal: "," } : {}) };
    // A comma in a measure is a decimal mark and separates nothing.
    return {};
  }
  return listMark(cells);
}

function listMark(cells: readonly string[]): Partial<ColumnMapping> {
  const separator = cells.some((cell) => cell.includes("|")) ? undefined : separatorOf(cells);
  return separator === undefined ? {} : { separator };
}

/** States the kind explicitly if some cells don't fit it, so that those are reported. */
const told = (kind: FieldKind, fit: number): Partial<ColumnMapping> => (fit < 1 ? { kind } : {});

function writtenDays(cells: readonly string[], share: number): Partial<ColumnMapping> {
  const orders = cells.map(dayOrders);
  const read = (order: DateOrder) => orders.filter((one) => one?.[order]).length;
  // If every day could be read both ways, day-first is more common.
  const best = (["ymd", "dmy", "mdy"] as const).reduce((a, b) => (read(b) > read(a) ? b : a));
  return best === "ymd" ? { kind: "date" } : { ...told("date", share), dates: best };
}

/** The notation of numbers, if most of the cells are. @param known the column is a number by its role */
function writtenNumbers(cells: readonly string[], known: boolean): Partial<ColumnMapping> | undefined {
  const share = (mark: DecimalMark) => cells.filter((cell) => isNumberWith(cell, mark)).length / cells.length;
  const [point, comma] = [share("."), share(",")];
  const fits = (mark: DecimalMark) => mostFit(cells, (cell) => isNumberWith(cell, mark));
  if (fits(",") && (comma > point || (comma === point && groupsByPoint(cells))))
    return { ...(known ? {} : told("number", comma)), decimal: "," };
  if (!fits(".") || known) return undefined;
  // Plain numbers need no hint; signs, thousands separators and a few words are read only if the kind is given.
  return cells.some((cell) => Number.isNaN(parseNumber(cell))) ? { kind: "number" } : {};
}

/** Whether amounts of money have a point before exactly three digits, so that it groups thousands: “1.200 €”. */
const groupsByPoint = (cells: readonly string[]): boolean => {
  const pointed = cells.filter((cell) => cell.includes("."));
  return pointed.length > 0 && cells.every(isAmountOfMoney) && pointed.every((cell) => /\.\d{3}(?!\d)/.test(cell));
};

/**
 * Whether values are codes: digits with leading zeros, such as “0501”, where at least two have as many digits, or all
 * with a plus sign in front, as dialling codes are.
 */
function areCodes(cells: readonly string[]): boolean {
  if (cells.every((cell) => cell.split(/[|,;]/).every((one) => /^\+\d+$/.test(one.trim())))) return true;
  const isDigits = (cell: string) => /^\d+$/.test(cell);
  const zeros = cells.filter((cell) => /^0\d+$/.test(cell));
  return (
    zeros.length > 0 && cells.every(isDigits) && cells.filter((cell) => cell.length === zeros[0]?.length).length > 1
  );
}

/** Whether cells are whole numbers or lists of them, separated by commas that can't group thousands: “201,44,7”. */
function areNumberLists(cells: readonly string[]): boolean {
  const lists = cells.filter((cell) => /^\d+(?:,\s?\d+){2,}$/.test(cell) && !isNumberWith(cell, "."));
  return lists.length > 0 && cells.every((cell) => /^\d+(?:,\s?\d+)*$/.test(cell));
}

/** Whether values are 0 and 1, both of them. */
const areBits = (cells: readonly string[]): boolean => {
  const different = new Set(cells);
  return different.size === 2 && different.has("0") && different.has("1");
};

/** Whether most cells are objects of JSON, which nobody chooses by. */
const areObjects = (cells: readonly string[]): boolean =>
  cells.filter((cell) => /^\{.*\}$/s.test(cell)).length > cells.length / 2;

/** Words for years in headings, and for what has a year. Common practice, no source. */
const yearWords =
  /(?:^|\P{L})(?:years?|yr|jahr|jahrgang|baujahr|année|millésime|año|ano|anno|annata|jaar|bouwjaar|rok|år|årgang|yıl|年|سنة|independence|founded|established|discovered|gegründet|fondée?|fundado|fondato)(?:\P{L}|$)/u;
/** Words for what begins and ends in a year, if all numbers could be one. Common practice, no source. */
const eraWords =
  /(?:^|\P{L})(?:start|end|began|ended|born|birth|died|death|opened|closed|since|until|from|to|von|bis|geboren)(?:\P{L}|$)/u;

/** Years that products are from when a heading doesn't say so, and the fewest different ones. */
const earliest = 1900;
const severalYears = 5;
const latest = 2040;

/**
 * Years: numbers of up to four digits whose heading says so, or whole numbers that all could be recent years; or days
 * that are all the first of January. A few words beside them are reported.
 */
function yearsIn(heading: string, cells: readonly string[]): Partial<ColumnMapping> | undefined {
  const different = new Set(cells);
  if (different.size < 2) return undefined;
  const named = yearWords.test(splitCapitals(heading).toLowerCase());
  const isBetween = (from: number, to: number) => (cell: string) => {
    const year = parseYear(asciiDigits(cell));
    return year >= from && year <= to;
  };
  // A few such numbers, or some with a unit in the heading, are as likely watts or grams.
  const recent = different.size >= severalYears && !/[([]/.test(heading) && cells.every(isBetween(earliest, latest));
  const ofAnEra = eraWords.test(splitCapitals(heading).toLowerCase()) && cells.every(isBetween(1000, latest));
  if (recent || ofAnEra || (named && mostFit(cells, isBetween(1000, 2999)))) return { kind: "year" };
  return cells.every((cell) => writtenDay(cell, "ymd")?.endsWith("-01-01")) ? { kind: "year" } : undefined;
}

/** Few distinct measures make options to choose among; many make a number line. */
const fewOptions = 15;
const manyDifferent = (cells: readonly string[]): boolean => new Set(cells.map(identity)).size > fewOptions;

/** A separator that splits many cells into recurring parts, so that it separates values and isn't punctuation. */
function separatorOf(cells: readonly string[]): Separator | undefined {
  return ([";", ","] as const).find((mark) => {
    const parted = cells.filter((cell) => cell.includes(mark));
    if (parted.length * 10 < cells.length || parted.length < 3) return false;
    const pieces = parted.flatMap((cell) => cell.split(mark).map(identity));
    return new Set(pieces).size * 2 <= pieces.length && pieces.every((piece) => piece !== "" && piece.length <= 30);
  });
}

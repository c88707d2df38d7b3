import { mustBeNumber } from "./complete.ts";
import { dayOrders } from "./days.ts";
import { type FieldRole, knownColumns } from "./field.ts";
import { parseDay, parseNumber } from "./field-kinds.ts";
import { withoutCurrency } from "./guess-currency.ts";
import { guessTitle } from "./guess-title.ts";
import { headingWords } from "./heading-words.ts";
import { identity } from "./identity.ts";
import { guessLevels } from "./levels.ts";
import { areConvertible, findUnits } from "./numbers/units.ts";
import { isNumberWith, plainReading } from "./reading.ts";
import type { ColumnMapping, DateOrder, Reading, Separator } from "./reading-schema.ts";
import { availabilityOf, stockWord } from "./stock-words.ts";
import type { Table } from "./table.ts";

/** The role of each heading: an exact match, or a common synonym for known columns without one. */
export function suggestRoles(header: readonly string[]): Reading {
  const reading = plainReading(header);
  const names = header.map((heading) => identity(heading.replaceAll(/[_\-./'’]+/g, " ")));
  const bare = names.map((name) => {
    const rest = withoutCurrency(name);
    return rest === name ? "" : rest;
  });
  // A file's language is that of most of its headings; the same word may mean something else in another language.
  const languages = Object.entries(headingWords)
    .filter(([language, words]) => language === "en" || spoken(words, names) >= fewest)
    .map(([, words]) => words)
    .sort((a, b) => spoken(b, names) - spoken(a, names));
  for (const words of languages)
    for (const column of knownColumns) {
      if (reading.some(({ as }) => as === column)) continue;
      const isFree = (place: number) => place >= 0 && reading[place]?.as === "attribute";
      const known = words[column] ?? [];
      const at =
        known.map((name) => names.indexOf(name)).find(isFree) ??
        [column.replaceAll("_", " "), ...known].map((name) => bare.indexOf(name)).find(isFree);
      if (at !== undefined) reading[at] = { as: column };
    }
  return reading;
}

/** A single word exists in too many languages to identify one; “note” is a rating in French only. */
const fewest = 2;

/** Number of a file's headings that are words of a language. */
const spoken = (words: (typeof headingWords)[string], names: readonly string[]): number =>
  Object.values(words).filter((list) => list?.some((name) => names.includes(name))).length;

const looked = 400;
/** Minimum share of cells that must be days or numbers; the others are reported. */
const most = 0.9;
/** Minimum share of understood cells in a column whose heading suggests stock. */
const fewestKnown = 0.5;

/**
 * Suggests how to read a table's columns: their roles from the headings, and the notation of numbers, dates and lists
 * from the first cells.
 */
export function suggestReading({ header, records }: Pick<Table, "header" | "records">): Reading {
  const sample = records.slice(0, looked);
  const cellsAt = (at: number) => sample.map(({ cells }) => cells[at]?.trim() ?? "").filter((cell) => cell !== "");
  const reading = withStock(suggestRoles(header), header, cellsAt).map(
    (column, at): ColumnMapping =>
      column.as === "skip"
        ? column
        : {
            ...column,
            ...looksLike(column, cellsAt(at)),
          },
  );
  return withTitles({ header, records }, reading);
}

/** Headings of columns that state availability in words, in the supported languages. */
const stockHeadings =
  /^(?:availability|stock status|in stock|stock|verfügbarkeit|lagerstatus|disponibilité|état du stock|disponibilidad|estado de stock|disponibilità|beschikbaarheid|voorraadstatus)$/;

/**
 * Makes a column of stock words the stock column if the file has none: by its heading, or because it contains nothing
 * else.
 */
function withStock(reading: Reading, header: readonly string[], cellsAt: (at: number) => string[]): Reading {
  if (reading.some(({ as }) => as === "stock")) return reading;
  const share = (at: number, fits: (cell: string) => unknown) => {
    const cells = cellsAt(at);
    return cells.length === 0 ? 0 : cells.filter(fits).length / cells.length;
  };
  const places = reading.flatMap(({ as }, at) => (as === "attribute" ? [at] : []));
  const named = places.filter((at) => stockHeadings.test(identity((header[at] ?? "").replaceAll(/[_-]/g, " "))));
  const found =
    named.find((at) => share(at, availabilityOf) >= fewestKnown) ?? places.find((at) => share(at, stockWord) >= most);
  return found === undefined ? reading : reading.map((column, at) => (at === found ? { as: "stock" } : column));
}

/** Makes the best candidate the title column if the file has none. */
export function withTitles(table: Pick<Table, "header" | "records">, reading: Reading): Reading {
  if (reading.some(({ as, titles }) => as === "title" || titles)) return reading;
  const at = guessTitle(table, reading);
  return reading.map((column, place) => (place === at ? { ...column, titles: true } : column));
}

const whole: readonly ColumnMapping["as"][] = ["product_id", "sku", "title", "description", "image"];

function looksLike({ as }: ColumnMapping, cells: readonly string[]): Partial<ColumnMapping> {
  if (cells.length === 0 || whole.includes(as)) return {};
  if (as === "category") {
    const levels = guessLevels(cells);
    return levels === undefined ? {} : { levels };
  }
  const share = (fits: (cell: string) => boolean) => cells.filter(fits).length / cells.length;
  if (share((cell) => !Number.isNaN(parseNumber(cell))) === 1 || share((cell) => !Number.isNaN(parseDay(cell))) === 1)
    return {};
  // States the kind explicitly if some cells don't fit it, so that those are reported.
  const told = (kind: "date" | "number", fit: number) => (fit < 1 ? { kind } : {});
  const days = share((cell) => dayOrders(cell) !== undefined);
  if (days >= most) {
    const orders = cells.map(dayOrders);
    const read = (order: DateOrder) => orders.filter((one) => one?.[order]).length;
    // If every day could be read both ways, day-first is more common.
    const best = (["ymd", "dmy", "mdy"] as const).reduce((a, b) => (read(b) > read(a) ? b : a));
    return best === "ymd" ? { kind: "date" } : { ...told("date", days), dates: best };
  }
  const [point, comma] = [share((cell) => isNumberWith(cell, ".")), share((cell) => isNumberWith(cell, ","))];
  const known = mustBeNumber.has(as as FieldRole);
  if (comma >= most && comma > point) return { ...(known ? {} : told("number", comma)), decimal: "," };
  // Plain numbers need no hint; signs and thousands separators are read only if the kind is given.
  const dressed = cells.some((cell) => isNumberWith(cell, ".") && Number.isNaN(parseNumber(cell)));
  if (point >= most && dressed && !known) return { kind: "number" };
  const units = findUnits(cells);
  if (units && units.matching >= cells.length * most && areConvertible(units.units) && manyDifferent(cells))
    return { kind: "number", unit: units.unit };
  const separator = cells.some((cell) => cell.includes("|")) ? undefined : partedBy(cells);
  return separator === undefined ? {} : { separator };
}

/** Few distinct measures make options to choose among; many make a number line. */
const fewOptions = 15;
const manyDifferent = (cells: readonly string[]): boolean => new Set(cells.map(identity)).size > fewOptions;

/** A separator that splits many cells into recurring parts, so that it separates values and isn't punctuation. */
function partedBy(cells: readonly string[]): Separator | undefined {
  return ([";", ","] as const).find((mark) => {
    const parted = cells.filter((cell) => cell.includes(mark));
    if (parted.length * 10 < cells.length || parted.length < 3) return false;
    const pieces = parted.flatMap((cell) => cell.split(mark).map(identity));
    return new Set(pieces).size * 2 <= pieces.length && pieces.every((piece) => piece !== "" && piece.length <= 30);
  });
}

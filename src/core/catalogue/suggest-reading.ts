import { knownColumns } from "./field.ts";
import { isAmountOfMoney, withoutCurrency } from "./guess-currency.ts";
import { guessTitle } from "./guess-title.ts";
import { headingLanguages, wordsOf } from "./heading-language.ts";
import { headingWords } from "./heading-words.ts";
import { identity } from "./identity.ts";
import { plainReading, titleColumn } from "./reading.ts";
import type { ColumnMapping, Reading } from "./reading-schema.ts";
import { spreadSample } from "./sample.ts";
import { availabilityOf, stockWord } from "./stock-words.ts";
import { suggestNotation } from "./suggest-notation.ts";
import type { Table } from "./table.ts";

/** The role of each heading: an exact match, or a common synonym for known columns without one. */
export function suggestRoles(header: readonly string[]): Reading {
  const reading = plainReading(header);
  const names = wordsOf(header);
  const bare = names.map((name) => {
    const rest = withoutCurrency(name);
    return rest === name ? "" : rest;
  });
  // A file's language is that of most of its headings; the same word may mean something else in another language.
  for (const language of headingLanguages(names))
    for (const column of knownColumns) {
      if (reading.some(({ as }) => as === column)) continue;
      const isFree = (place: number) => place >= 0 && reading[place]?.as === "attribute";
      const known = headingWords[language]?.[column] ?? [];
      const at =
        known.map((name) => names.indexOf(name)).find(isFree) ??
        [column.replaceAll("_", " "), ...known].map((name) => bare.indexOf(name)).find(isFree);
      if (at !== undefined) reading[at] = { as: column };
    }
  return reading;
}

const looked = 400;
/** Minimum share of cells that must be words of stock or amounts of money. */
const most = 0.9;
/** Minimum share of understood cells in a column whose heading suggests stock. */
const fewestKnown = 0.5;

/**
 * Suggests how to read a table's columns: their roles from the headings, and the notation of numbers, dates and lists
 * from a sample of the cells.
 */
export function suggestReading({ header, records }: Pick<Table, "header" | "records">): Reading {
  const sample = spreadSample(records, looked);
  const cellsAt = (at: number) => sample.map(({ cells }) => cells[at]?.trim() ?? "").filter((cell) => cell !== "");
  const roles = withNames(withWordsAsCategory(suggestRoles(header), cellsAt), cellsAt);
  const reading = withPrice(withStock(roles, header, cellsAt), cellsAt).map(
    (column, at): ColumnMapping =>
      column.as === "skip"
        ? column
        : {
            ...column,
            ...suggestNotation(column, header[at] ?? "", cellsAt(at), (fits) =>
              records.every(({ cells }) => fits(cells[at]?.trim() ?? "")),
            ),
          },
  );
  return withTitles({ header, records }, reading);
}

/** Makes a “group” of numbers, such as “10000 to 14999”, an attribute: a category consists of words. */
function withWordsAsCategory(reading: Reading, cellsAt: (at: number) => string[]): Reading {
  const isOfDigits = (cell: string) => count(cell, /\d/g) > count(cell, /\p{L}/gu);
  return reading.map((column, at) =>
    column.as === "category" && cellsAt(at).filter(isOfDigits).length * 2 > cellsAt(at).length
      ? { ...column, as: "attribute" }
      : column,
  );
}

/** Longest name of a thing, in characters. Common practice, no source. */
const longestName = 80;

/** Makes descriptions the titles if the file has none and they are short and differ, as in lists of stock. */
function withNames(reading: Reading, cellsAt: (at: number) => string[]): Reading {
  const at = reading.findIndex(({ as }) => as === "description");
  if (at < 0 || reading.some(({ as }) => as === "title")) return reading;
  const cells = cellsAt(at);
  const areNames =
    new Set(cells).size >= cells.length * most &&
    cells.filter(({ length }) => length <= longestName).length >= cells.length * most;
  return areNames ? reading.map((column, place) => (place === at ? { ...column, as: "title" } : column)) : reading;
}

const count = (text: string, letters: RegExp): number => text.match(letters)?.length ?? 0;

/** Headings of columns that state availability in words, in the supported languages. */
const stockHeadings =
  /^(?:availability|stock status|in stock|stock|verfügbarkeit|lagerstatus|disponibilité|état du stock|disponibilidad|estado de stock|disponibilità|beschikbaarheid|voorraadstatus|在庫状況|在庫|التوفر|حالة المخزون)$/;

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

/** Makes the only column of amounts in a currency the price if the file has none. */
function withPrice(reading: Reading, cellsAt: (at: number) => string[]): Reading {
  if (reading.some(({ as }) => as === "price" || as === "list_price")) return reading;
  const amounts = reading.flatMap(({ as }, at) => {
    const cells = as === "attribute" ? cellsAt(at) : [];
    return cells.length > 0 && cells.filter(isAmountOfMoney).length >= cells.length * most ? [at] : [];
  });
  if (amounts.length !== 1) return reading;
  return reading.map((column, at) => (at === amounts[0] ? { as: "price" } : column));
}

/** Makes the best candidate the title column if the file has none. */
export function withTitles(table: Pick<Table, "header" | "records">, reading: Reading): Reading {
  if (titleColumn(reading) >= 0) return reading;
  const at = guessTitle(table, reading);
  return reading.map((column, place) => (place === at ? { ...column, titles: true } : column));
}

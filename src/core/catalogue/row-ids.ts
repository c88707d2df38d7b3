import { crc32 } from "../sanitize/crc32.ts";
import { identity, spelling } from "./identity.ts";
import { titleColumn } from "./reading.ts";
import type { ColumnMapping, Reading } from "./reading-schema.ts";
import type { Table } from "./table.ts";

/** The columns that identify the rows of a file without product ids. */
export interface RowIds {
  /** One a row, no two alike. */
  ids: string[];
  /** Indices of the columns that the ids are made of; empty if the whole row is used. */
  by: number[];
}

/** Words in headings of ids and addresses. Common practice, no source. */
const idWords =
  /\b(?:id|ids|uuid|guid|code|key|no|nr|number|nummer|num|número|numero|numéro|sku|ean|gtin|upc|isbn|asin|slug|handle|url|link|permalink|ref|reference|référence|referencia|artikelnr|artikelnummer|bestellnummer)\b/i;
/** An id without spaces that contains a letter: numbers alone may be any quantity. */
const mark = /^(?=.*\p{L})[\p{L}\p{N}._/-]{1,60}$/u;
/** Minimum share of rows that titles must distinguish to be used at all. */
const minDistinct = 0.5;
/** Maximum number of further columns that distinguish rows with the same title. */
const maxBeside = 3;
const longest = 160;

/**
 * Ids for the rows of a file without a product id column, derived from the rows' content, so that a row keeps its id
 * in a newer file wherever it stands: a column of distinct ids; otherwise the title, plus other columns where titles
 * repeat; otherwise any column with distinct values; otherwise the whole row.
 */
export function rowIds({ header, records }: Pick<Table, "header" | "records">, reading: Reading): RowIds {
  const cells = (at: number): string[] => records.map(({ cells: row }) => spelling(row[at] ?? ""));
  const column = idColumn(header, reading, cells);
  if (column >= 0) return { ids: told(cells(column)), by: [column] };
  const title = titleColumn(reading);
  const titles = title < 0 ? [] : cells(title);
  const distinct = new Set(titles.map(identity)).size;
  if (title < 0 || distinct < records.length * minDistinct || titles.includes(""))
    return (
      byAnyColumn(reading, cells) ?? {
        ids: told(records.map(({ cells: row }) => row.map(spelling).filter(Boolean).join(" · "))),
        by: [],
      }
    );
  return byTitle(titles, title, reading, cells);
}

/** The first column with a distinct value on every row that has an id-like heading or id-like values; -1 for none. */
function idColumn(header: readonly string[], reading: Reading, cells: (at: number) => string[]): number {
  const allDifferent = (at: number) => {
    const column = cells(at);
    return !column.includes("") && new Set(column.map(identity)).size === column.length;
  };
  const places = (fits: (as: ColumnMapping["as"], at: number) => boolean) =>
    reading.flatMap(({ as }, at) => (as !== "skip" && fits(as, at) ? [at] : []));
  const spoken = (at: number) => idWords.test((header[at] ?? "").replaceAll(/[_-]/g, " "));
  const sku = places((as) => as === "sku");
  const named = places((as, at) => as === "attribute" && spoken(at));
  const marks = places((as, at) => as === "attribute" && !spoken(at) && cells(at).every((cell) => mark.test(cell)));
  return [...sku, ...named, ...marks].find(allDifferent) ?? -1;
}

/** Columns that change from file to file, so that they name nothing. */
const changing: ReadonlySet<string> = new Set(["skip", "price", "list_price", "stock", "rating", "reviews"]);

/** Ids from the first column that is different on every row, whatever it holds; undefined if there is none. */
function byAnyColumn(reading: Reading, cells: (at: number) => string[]): RowIds | undefined {
  const at = reading.findIndex(({ as }, one) => {
    if (changing.has(as)) return false;
    const column = cells(one);
    return !column.includes("") && new Set(column.map(identity)).size === column.length;
  });
  return at < 0 ? undefined : { ids: told(cells(at)), by: [at] };
}

/** Ids from the titles, extended for equal titles by the columns that distinguish them best. */
function byTitle(titles: string[], title: number, reading: Reading, cells: (at: number) => string[]): RowIds {
  const by = [title];
  let names = titles;
  const candidates = reading.flatMap(({ as }, at) => (at !== title && as === "attribute" ? [at] : []));
  while (by.length <= maxBeside && hasTwins(names)) {
    const twins = twinsOf(names);
    const joined = candidates.map((at) => {
      const column = cells(at);
      return {
        at,
        names: names.map((name, row) => (twins.has(row) && column[row] ? `${name}, ${column[row]}` : name)),
      };
    });
    const [first, ...others] = joined;
    if (!first) break;
    const best = others.reduce((a, b) => (distinctOf(b.names) > distinctOf(a.names) ? b : a), first);
    if (distinctOf(best.names) === distinctOf(names)) break;
    names = best.names;
    by.push(best.at);
  }
  return { ids: told(names), by };
}

const distinctOf = (names: readonly string[]): number => new Set(names).size;
const hasTwins = (names: readonly string[]): boolean => distinctOf(names) < names.length;

/** Rows whose id another row has as well. */
function twinsOf(names: readonly string[]): Set<number> {
  const rows = new Map<string, number[]>();
  names.forEach((name, row) => {
    const known = rows.get(name);
    if (known) known.push(row);
    else rows.set(name, [row]);
  });
  return new Set([...rows.values()].filter((all) => all.length > 1).flat());
}

/** Ids shortened to the length of an address; identical rows are numbered. */
function told(names: readonly string[]): string[] {
  const shorts = names.map((name) =>
    name.length > longest ? `${name.slice(0, longest)}… ${crc(name)}` : name || "empty",
  );
  // A row may happen to have the id that numbering would make: it keeps it.
  const own = new Set(shorts);
  const seen = new Map<string, number>();
  return shorts.map((short) => {
    let count = (seen.get(short) ?? 0) + 1;
    while (count > 1 && own.has(`${short} (${count})`)) count++;
    seen.set(short, count);
    return count === 1 ? short : `${short} (${count})`;
  });
}

const crc = (text: string): string => (crc32(new TextEncoder().encode(text)) >>> 0).toString(16);

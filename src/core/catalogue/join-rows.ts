import { type FieldRole, isAlwaysVariant } from "./field.ts";
import { identity } from "./identity.ts";
import { titleColumn } from "./reading.ts";
import type { Reading } from "./reading-schema.ts";
import type { Table } from "./table.ts";

/** A proposal to join the rows of a file into products. */
export interface JoinOffer {
  /** Index of the column that the rows of one product share. */
  column: number;
  rows: number;
  products: number;
  /** Products that would have more than one variant. */
  several: number;
  /** Indices of columns in which the rows of one product differ. */
  differing: number[];
}

/**
 * Minimum share of rows that have the same name as another row, and of columns that must agree among those. Common
 * practice, no source.
 */
const minJoined = 0.3;
const minAgreeing = 0.5;
/** Minimum number of article numbers: among a few values anything seems to be one. */
const minNumbers = 10;
/** Share of products within which a column must be constant to count as agreeing. */
const nearlyAll = 0.9;

/**
 * Checks whether the rows of a file look like variants: several rows share an article number beside one of their own, or
 * a title, and then differ in few other columns, such as size and price. Only for files that don't group their rows
 * already.
 */
export function joinOffer({ records }: Pick<Table, "records">, reading: Reading): JoinOffer | undefined {
  const title = titleColumn(reading);
  if (title < 0 || isJoined(records, reading)) return undefined;
  const numbers = reading.findIndex((_, at) => isProductNumber(records, reading, at, title));
  const column = numbers < 0 ? title : numbers;
  const groups = new Map<string, string[][]>();
  for (const { cells } of records) {
    const name = identity(cells[column] ?? "");
    if (name === "") return undefined;
    const known = groups.get(name);
    if (known) known.push(cells);
    else groups.set(name, [cells]);
  }
  const several = [...groups.values()].filter((rows) => rows.length > 1);
  if (several.reduce((sum, rows) => sum + rows.length, 0) < records.length * minJoined) return undefined;
  const told = reading.flatMap(({ as }, at) =>
    at !== column && as !== "skip" && as !== "product_id" && several.some((rows) => rows.some((row) => row[at]?.trim()))
      ? [at]
      : [],
  );
  const differing = told.filter((at) => {
    const agree = several.filter(([first, ...others]) => others.every((row) => row[at] === first?.[at]));
    return agree.length < several.length * nearlyAll;
  });
  // Prices and stock always belong to variants, so they say nothing about what the rows are.
  const telling = told.filter((at) => !isAlwaysVariant(reading[at]?.as as FieldRole));
  const agreeing = telling.filter((at) => !differing.includes(at)).length;
  if (column === title && (agreeing === 0 || agreeing < telling.length * minAgreeing)) return undefined;
  return { column, rows: records.length, products: groups.size, several: several.length, differing };
}

/** Whether a column numbers the products: a code on every row, which recurs, and with the same title each time. */
function isProductNumber(records: Table["records"], reading: Reading, at: number, title: number): boolean {
  if (reading[at]?.as !== "attribute" || at === title) return false;
  const titles = new Map<string, string>();
  for (const { cells } of records) {
    const [number = "", name = ""] = [cells[at]?.trim(), identity(cells[title] ?? "")];
    if (!isCode(number) || (titles.get(number) ?? name) !== name) return false;
    titles.set(number, name);
  }
  return titles.size >= minNumbers && titles.size <= records.length * (1 - minJoined / 2);
}

/** Whether a text may be an article number: one word with a digit that is neither a decimal nor a quantity like “450g”. */
const isCode = (text: string): boolean =>
  /\d/.test(text) && !/\s/.test(text) && !/^[\d.,]*[.,]\d/.test(text) && !/^\d+\p{Ll}{1,3}$/u.test(text);

/** Whether a product id column already groups the rows. */
function isJoined(records: Table["records"], reading: Reading): boolean {
  const at = reading.findIndex(({ as }) => as === "product_id");
  return at >= 0 && new Set(records.map(({ cells }) => cells[at])).size < records.length;
}

/** The reading that groups rows by the offered column into products. Ids found on every row become variant ids. */
export function joined(reading: Reading, { column }: Pick<JoinOffer, "column">): Reading {
  const hasSku = reading.some(({ as }) => as === "sku");
  const isTitle = titleColumn(reading) === column;
  return reading.map((one, at) => {
    if (at === column) return { as: "product_id" as const, ...(isTitle ? { titles: true as const } : {}) };
    return one.as === "product_id" ? { ...one, as: hasSku ? ("attribute" as const) : ("sku" as const) } : one;
  });
}

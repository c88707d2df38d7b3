import type { KnownColumn } from "./field.ts";
import { guessTitle } from "./guess-title.ts";
import { identity } from "./identity.ts";
import { dayOrders, isNumberWith, plainReading } from "./reading.ts";
import type { ColumnReading, Reading, Separator } from "./reading-schema.ts";
import type { Table } from "./table.ts";
import { parseNumber } from "./values.ts";

/** Headings that other programs use for known columns. Common practice, no source. */
const synonyms: Partial<Record<KnownColumn, readonly string[]>> = {
  product_id: [
    "id",
    "product",
    "product no",
    "product number",
    "article",
    "article no",
    "item",
    "item id",
    "parent sku",
    "code",
  ],
  sku: ["variant sku", "variant id", "item no"],
  title: ["name", "product name", "product title", "item name", "label", "model"],
  description: ["body", "text", "details"],
  category: ["categories", "product category", "department", "group"],
  type: ["product type", "kind"],
  brand: ["vendor", "maker", "manufacturer", "producer"],
  tags: ["keywords", "labels"],
  price: ["sale price", "current price", "unit price", "variant price"],
  list_price: ["regular price", "compare at price", "old price", "rrp", "msrp"],
  stock: ["quantity", "qty", "inventory", "on hand"],
  rating: ["average rating", "stars", "score"],
  reviews: ["review count", "rating count"],
  published: ["published at", "created at", "date added"],
  image: ["image url", "image src", "picture", "photo", "images"],
};

/** What each heading usually means: the strict guess, and for known columns that it did not find a usual synonym. */
export function suggestRoles(header: readonly string[]): Reading {
  const reading = plainReading(header);
  const names = header.map((heading) => identity(heading.replaceAll(/[_-]/g, " ")));
  for (const [column, others] of Object.entries(synonyms) as [KnownColumn, readonly string[]][]) {
    if (reading.some(({ as }) => as === column)) continue;
    const at = others
      .map((name) => names.indexOf(name))
      .find((place) => place >= 0 && reading[place]?.as === "attribute");
    if (at !== undefined) reading[at] = { as: column };
  }
  return reading;
}

const looked = 400;

/**
 * How a table's columns are best read: what they are by their headings, and by their first cells how
 * numbers, dates and several values are written.
 */
export function suggestReading({ header, records }: Pick<Table, "header" | "records">): Reading {
  const sample = records.slice(0, looked);
  const reading = suggestRoles(header).map(
    (column, at): ColumnReading =>
      column.as === "skip"
        ? column
        : {
            ...column,
            ...looksLike(
              column,
              sample.map(({ cells }) => cells[at]?.trim() ?? "").filter((cell) => cell !== ""),
            ),
          },
  );
  return withTitles({ header, records }, reading);
}

/** The reading with a column that gives the titles, where it has none: the one that names things best. */
export function withTitles(table: Pick<Table, "header" | "records">, reading: Reading): Reading {
  if (reading.some(({ as, titles }) => as === "title" || titles)) return reading;
  const at = guessTitle(table, reading);
  return reading.map((column, place) => (place === at ? { ...column, titles: true } : column));
}

const whole: readonly ColumnReading["as"][] = ["product_id", "sku", "title", "description", "image", "category"];

function looksLike({ as }: ColumnReading, cells: readonly string[]): Partial<ColumnReading> {
  if (cells.length === 0 || whole.includes(as)) return {};
  const orders = cells.map(dayOrders);
  if (orders.every((order) => order !== undefined)) {
    // Where every day could be read both ways, a day first is the more usual.
    return { dates: orders.every(({ dmy }) => dmy) ? "dmy" : "mdy" };
  }
  const plain = cells.every((cell) => !Number.isNaN(parseNumber(cell)));
  if (!plain && cells.every((cell) => isNumberWith(cell, ","))) return { decimal: "," };
  const separator = cells.some((cell) => cell.includes("|")) ? undefined : partedBy(cells);
  return separator === undefined ? {} : { separator };
}

/** A mark that parts many cells into pieces that recur, so that it separates values and is no punctuation. */
function partedBy(cells: readonly string[]): Separator | undefined {
  return ([";", ","] as const).find((mark) => {
    const parted = cells.filter((cell) => cell.includes(mark));
    if (parted.length * 10 < cells.length || parted.length < 3) return false;
    const pieces = parted.flatMap((cell) => cell.split(mark).map(identity));
    return new Set(pieces).size * 2 <= pieces.length && pieces.every((piece) => piece !== "" && piece.length <= 30);
  });
}

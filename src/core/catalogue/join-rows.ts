import { type FieldRole, isAlwaysVariant } from "./field.ts";
import { identity } from "./identity.ts";
import type { Reading } from "./reading-schema.ts";
import type { Table } from "./table.ts";

/** The result of joining the rows of a file into products. */
export interface JoinOffer {
  /** Place of the column that the rows of one product share. */
  column: number;
  rows: number;
  products: number;
  /** Products that would have more than one variant. */
  several: number;
  /** Places of columns in which the rows of one product differ. */
  differing: number[];
}

/** Share of rows that must share their name with another, and of columns that must agree among those. Common practice, no source. */
const leastJoined = 0.3;
const leastAgreeing = 0.5;
/** Share of products within which a column must agree to count as agreeing. */
const nearlyAll = 0.9;

/**
 * Whether the rows of a file are rather variants of products that share a name: several rows agree on the column of
 * titles and differ in few others, such as size and price. For a file in which nothing says so already.
 */
export function joinOffer({ records }: Pick<Table, "records">, reading: Reading): JoinOffer | undefined {
  const column = reading.findIndex(({ as, titles }) => as === "title" || titles);
  if (column < 0 || isJoined(records, reading)) return undefined;
  const groups = new Map<string, string[][]>();
  for (const { cells } of records) {
    const name = identity(cells[column] ?? "");
    if (name === "") return undefined;
    const known = groups.get(name);
    if (known) known.push(cells);
    else groups.set(name, [cells]);
  }
  const several = [...groups.values()].filter((rows) => rows.length > 1);
  if (several.reduce((sum, rows) => sum + rows.length, 0) < records.length * leastJoined) return undefined;
  const told = reading.flatMap(({ as }, at) =>
    at !== column && as !== "skip" && as !== "product_id" && several.some((rows) => rows.some((row) => row[at]?.trim()))
      ? [at]
      : [],
  );
  const differing = told.filter((at) => {
    const agree = several.filter(([first, ...others]) => others.every((row) => row[at] === first?.[at]));
    return agree.length < several.length * nearlyAll;
  });
  // Prices and stocks are the variants' own in any shop, and say nothing of what the rows are.
  const telling = told.filter((at) => !isAlwaysVariant(reading[at]?.as as FieldRole));
  const agreeing = telling.filter((at) => !differing.includes(at)).length;
  if (agreeing === 0 || agreeing < telling.length * leastAgreeing) return undefined;
  return { column, rows: records.length, products: groups.size, several: several.length, differing };
}

/** Whether a column of product ids says already which rows are of one product. */
function isJoined(records: Table["records"], reading: Reading): boolean {
  const at = reading.findIndex(({ as }) => as === "product_id");
  return at >= 0 && new Set(records.map(({ cells }) => cells[at])).size < records.length;
}

/** The reading with rows of one title as one product. Ids that stood on every row are those of variants. */
export function joined(reading: Reading, { column }: Pick<JoinOffer, "column">): Reading {
  const hasSku = reading.some(({ as }) => as === "sku");
  return reading.map((one, at) => {
    if (at === column) return { as: "product_id" as const, titles: true as const };
    return one.as === "product_id" ? { ...one, as: hasSku ? ("attribute" as const) : ("sku" as const) } : one;
  });
}

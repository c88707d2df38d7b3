import type { Catalogue } from "../catalogue/catalogue.ts";
import { identity } from "../catalogue/identity.ts";

/** The columns of a visit list with the product and the count. */
export interface VisitColumns {
  /** Its id, SKU, title, or an address ending in one of them. */
  product: number;
  /** Number of visits; if absent, each row is one visit. */
  count?: number;
}

/** Visits by product, and unusable rows. Nothing about the visitors is kept. */
export interface Visits {
  /** By product id. */
  counts: Map<string, number>;
  used: number;
  /** Number of rows without a known product, with up to three examples. */
  unknown: number;
  examples: string[];
}

/** Product ids by any of their names. */
function productNames({ productIds, variantStart, fields, columns }: Catalogue): Map<string, string> {
  const names = new Map<string, string>();
  const naming = fields.filter(({ role }) => role === "sku" || role === "title");
  productIds.forEach((id, product) => {
    for (const { key } of naming) {
      const column = columns.get(key);
      for (let variant = variantStart[product] ?? 0; variant < (variantStart[product + 1] ?? 0); variant++) {
        for (let at = column?.starts[variant] ?? 0; at < (column?.starts[variant + 1] ?? 0); at++) {
          const name = identity(column?.spellings[column.codes[at] ?? 0] ?? "");
          if (!names.has(name)) names.set(name, id);
        }
      }
    }
  });
  // Ids take precedence over titles.
  for (const id of productIds) names.set(identity(id), id);
  return names;
}

/** The product named by a cell, directly or as the last part of an address. */
function named(names: ReadonlyMap<string, string>, cell: string): string | undefined {
  const whole = names.get(identity(cell));
  if (whole !== undefined) return whole;
  const [path = ""] = cell.split(/[?#]/);
  const last = path.split("/").filter(Boolean).at(-1) ?? "";
  try {
    return names.get(identity(decodeURIComponent(last)));
  } catch {
    return names.get(identity(last));
  }
}

/** The columns of a choice list with the facet, the count and the visit. */
export interface ChoiceColumns {
  field: number;
  count?: number;
  /** Tells visits apart. */
  visit?: number;
}

/** Real shoppers' choices, as assumptions about what shoppers know. */
export interface ChosenFields {
  /** By field key, the share of shoppers who know what their product states of it. */
  knows: Record<string, number>;
  used: number;
  unknown: number;
  examples: string[];
}

const looksAt = 200;
const counting = /^(count|visits?|views?|hits|sessions|quantity|anzahl|besuche|nombre|visites)$/i;
const telling = /^(visit|session|user|visitor)(?:[ _-]?id)?$|^(besuch|sitzung|session)$/i;
/** A list of choices cannot reveal facts that everybody or nobody knows. */
export const knownBounds = { least: 0.02, most: 0.98 };
/**
 * The share who know the most frequently chosen field, if the list does not distinguish visits. Common practice, no
 * source.
 */
const maxKnown = 0.8;

/**
 * Guesses the columns of a table with products and counts: the one in which most rows name a product, and a column of
 * whole numbers with a count's heading.
 * @returns undefined if no column names products
 */
export function guessColumns(
  catalogue: Catalogue,
  header: readonly string[],
  rows: readonly string[][],
): VisitColumns | undefined {
  const names = productNames(catalogue);
  const some = rows.slice(0, looksAt);
  const hits = header.map((_, at) => some.filter((row) => named(names, row[at] ?? "") !== undefined).length);
  const most = Math.max(0, ...hits);
  if (most === 0) return undefined;
  const product = hits.indexOf(most);
  const count = countColumn(header, some, product);
  return count < 0 ? { product } : { product, count };
}

/** Index of a column of whole numbers with a count's heading; -1 if there is none. */
const countColumn = (header: readonly string[], rows: readonly string[][], other: number): number =>
  header.findIndex(
    (name, at) =>
      at !== other && counting.test(name.trim()) && rows.every((row) => /^\d+$/.test((row[at] ?? "").trim())),
  );

/** Field keys by any of their names. */
const fieldNames = ({ fields }: Pick<Catalogue, "fields">): Map<string, string> =>
  new Map(fields.flatMap(({ key, name }) => [key, name].map((one) => [identity(one), key] as const)));

/**
 * Guesses the column of a table with the facets of choices: the one in which nearly every row names a field.
 * @returns undefined if there is none
 */
export function guessChoiceColumns(
  catalogue: Pick<Catalogue, "fields">,
  header: readonly string[],
  rows: readonly string[][],
): ChoiceColumns | undefined {
  const names = fieldNames(catalogue);
  const some = rows.slice(0, looksAt);
  const hits = header.map((_, at) => some.filter((row) => names.has(identity(row[at] ?? ""))).length);
  const most = Math.max(0, ...hits);
  if (most === 0 || most < 0.5 * some.length) return undefined;
  const field = hits.indexOf(most);
  const count = countColumn(header, some, field);
  const visit = header.findIndex((name, at) => at !== field && telling.test(name.trim()));
  return { field, ...(count < 0 ? {} : { count }), ...(visit < 0 ? {} : { visit }) };
}

/**
 * Estimates shoppers' knowledge from real choices. If the list distinguishes visits, it is the share of visits with a
 * choice in the field; otherwise the most frequent field is assumed known by 80%, and the others in proportion.
 */
export function countChoices(
  catalogue: Pick<Catalogue, "fields">,
  rows: readonly string[][],
  { field, count, visit }: ChoiceColumns,
): ChosenFields {
  const names = fieldNames(catalogue);
  const found: ChosenFields = { knows: {}, used: 0, unknown: 0, examples: [] };
  const times = new Map<string, number>();
  const visits = new Map<string, Set<string>>();
  const all = new Set<string>();
  for (const row of rows) {
    const cell = row[field] ?? "";
    const key = names.get(identity(cell));
    const often = count === undefined ? 1 : Number(row[count]);
    if (visit !== undefined) all.add(row[visit] ?? "");
    if (key === undefined || !Number.isFinite(often) || often < 0) {
      found.unknown++;
      if (found.examples.length < 3) found.examples.push(cell.slice(0, 60));
      continue;
    }
    found.used++;
    times.set(key, (times.get(key) ?? 0) + often);
    if (visit !== undefined) visits.set(key, (visits.get(key) ?? new Set()).add(row[visit] ?? ""));
  }
  const greatest = Math.max(1, ...times.values());
  for (const [key, often] of times) {
    const share =
      visit === undefined ? (maxKnown * often) / greatest : (visits.get(key)?.size ?? 0) / Math.max(1, all.size);
    found.knows[key] = Math.min(knownBounds.most, Math.max(knownBounds.least, share));
  }
  return found;
}

/** Counts visits by product. */
export function countVisits(catalogue: Catalogue, rows: readonly string[][], { product, count }: VisitColumns): Visits {
  const names = productNames(catalogue);
  const visits: Visits = { counts: new Map(), used: 0, unknown: 0, examples: [] };
  for (const row of rows) {
    const cell = row[product] ?? "";
    const id = named(names, cell);
    const times = count === undefined ? 1 : Number(row[count]);
    if (id === undefined || !Number.isFinite(times) || times < 0) {
      visits.unknown++;
      if (visits.examples.length < 3) visits.examples.push(cell.slice(0, 60));
      continue;
    }
    visits.used++;
    visits.counts.set(id, (visits.counts.get(id) ?? 0) + times);
  }
  return visits;
}

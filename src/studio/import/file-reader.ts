import { decodeCatalogue, encodeCatalogue } from "../../core/catalogue/binary.ts";
import type { Catalogue } from "../../core/catalogue/catalogue.ts";
import { decodeText, isUtf8 } from "../../core/catalogue/decode.ts";
import type { Encoding } from "../../core/catalogue/encoding-titles.ts";
import type { Field } from "../../core/catalogue/field.ts";
import { guessCurrency } from "../../core/catalogue/guess-currency.ts";
import { guessEncoding, oddWords } from "../../core/catalogue/guess-encoding.ts";
import { headingLanguage } from "../../core/catalogue/heading-language.ts";
import { identity } from "../../core/catalogue/identity.ts";
import { type JoinOffer, joinOffer } from "../../core/catalogue/join-rows.ts";
import type { NewMend } from "../../core/catalogue/mend/mend-schema.ts";
import { CatalogueError, type Problem } from "../../core/catalogue/problem.ts";
import { buildCatalogue, readText } from "../../core/catalogue/read.ts";
import type { Reading, RememberedReading } from "../../core/catalogue/reading-schema.ts";
import { suggestReading, withTitles } from "../../core/catalogue/suggest-reading.ts";
import type { Table } from "../../core/catalogue/table.ts";
import { type UnreadableColumn, unreadableColumns } from "../../core/catalogue/unreadable-column.ts";
import { CatalogueIndex } from "../../core/engine/index/catalogue-index.ts";
import { firstFields, reasonFor } from "../../core/panel/suggest/first-panel.ts";
import type { Ranked } from "../../core/panel/suggest/rank.ts";
import { type FieldProfile, profileField } from "../../core/profile/profile.ts";
import { type ChangeSummary, changeSummary, type ShopAsIs } from "../../core/reconcile/change-summary.ts";

/** One column of the file, before it has a role. */
export interface PreviewColumn {
  heading: string;
  samples: string[];
}

/** The result of reading a file with a reading of its columns. */
export interface Preview {
  columns: PreviewColumn[];
  reading: Reading;
  rows: number;
  /** The file is identical to the shop's last one; there is no other data then. */
  same?: true;
  /** The encoding of the text, guessed or chosen, if it is not UTF-8, and words that show whether it is right. */
  encoding?: { name: Encoding; words: string[] } | undefined;
  /** SHA-256 of the file in hex, if the browser can compute it. */
  hash?: string | undefined;
  /** Headings of the columns used as ids; empty if the whole row is used. */
  by: string[];
  /** Columns of which less than half of the cells fit their kind. */
  hardly: UnreadableColumn[];
  /** Present if rows look like variants of products with the same name. */
  join?: JoinOffer | undefined;
  /** Existing fields that no column continues. */
  missing: { key: string; name: string }[];
  /** The currency of its prices, if the file says so. */
  currency?: string | undefined;
  /** The language of its headings, if it is not English. */
  language?: string | undefined;
  /** Why the file can't be read; there is no other data then. */
  fault?: Problem;
  products: number;
  variants: number;
  profiles: FieldProfile[];
  problems: Problem[];
  /** Facets of the first panel: field key, name, and reason. */
  facets: { field: string; name: string; why: string }[];
}

/** The shop's known columns. */
export interface KnownColumns {
  fields: readonly Field[];
  reading: readonly RememberedReading[];
  /** SHA-256 of the shop's last file, in hex. */
  hash?: string | undefined;
}

export interface OpenOptions {
  /** Even if the file is identical to the shop's last one. */
  anyway?: boolean;
  /** Of a text that is not UTF-8. Default: a guess. */
  encoding?: Encoding;
}

const shownSamples = 3;
const shownWords = 6;
const nothing: Preview = {
  columns: [],
  reading: [],
  rows: 0,
  missing: [],
  by: [],
  hardly: [],
  products: 0,
  variants: 0,
  profiles: [],
  problems: [],
  facets: [],
};

/** Reads one file: its table once, and its catalogue for each reading of the columns. */
export class FileReader {
  #table: Table | undefined;
  #catalogue: Catalogue | undefined;
  #known: KnownColumns;
  #hash: string | undefined;
  #encoding: Preview["encoding"];

  constructor(known: KnownColumns) {
    this.#known = known;
  }

  /**
   * Opens a file.
   * @param progress receives the share read so far
   */
  async open(
    file: Blob,
    progress: (share: number) => void,
    { anyway = false, encoding }: OpenOptions = {},
  ): Promise<Preview> {
    this.#encoding = undefined;
    try {
      const bytes = new Uint8Array(await file.arrayBuffer());
      this.#hash = await hashOf(bytes);
      if (this.#hash !== undefined && this.#hash === this.#known.hash && !anyway)
        return { ...nothing, hash: this.#hash, same: true };
      const used = isUtf8(bytes) ? undefined : (encoding ?? guessEncoding(bytes, navigator.language));
      if (used) this.#encoding = { name: used, words: [] };
      const text = decodeText(bytes, used);
      if (used) this.#encoding = { name: used, words: oddWords(text, shownWords) };
      this.#table = readText(text, progress);
    } catch (error) {
      if (error instanceof CatalogueError) return { ...nothing, encoding: this.#encoding, fault: error.problem };
      throw error;
    }
    return this.preview(this.#remembered(this.#table));
  }

  /** The result as far as possible, so that columns can be chosen even if a required one is missing. */
  preview(reading: Reading): Preview {
    const table = this.#table;
    if (!table) return nothing;
    const known: Preview = {
      ...nothing,
      reading,
      encoding: this.#encoding,
      hash: this.#hash,
      rows: table.records.length,
      currency: guessCurrency(table, reading),
      language: headingLanguage(table.header),
      columns: table.header.map((heading, at) => ({ heading, samples: firstDifferent(table, at) })),
    };
    this.#catalogue = undefined;
    try {
      const { catalogue, problems, by } = buildCatalogue(table, { reading, known: this.#known.fields });
      this.#catalogue = catalogue;
      const index = new CatalogueIndex(catalogue);
      return {
        ...known,
        products: index.products,
        variants: index.variants,
        by: by.map((at) => table.header[at] ?? ""),
        hardly: unreadableColumns(table, problems),
        join: joinOffer(table, withTitles(table, reading)),
        missing: this.#known.fields.flatMap(({ key, name, role }) =>
          role === "attribute" && !catalogue.columns.has(key) ? [{ key, name }] : [],
        ),
        profiles: catalogue.fields.map((field) => profileField(index, field)),
        problems,
        // An existing shop has panels already.
        facets: this.#known.fields.length > 0 ? [] : firstFields(index).map(offered),
      };
    } catch (error) {
      if (error instanceof CatalogueError) return { ...known, fault: error.problem };
      throw error;
    }
  }

  /** The catalogue of the last preview in binary form. @throws RangeError if there is none */
  pack(): Uint8Array<ArrayBuffer> {
    if (!this.#catalogue) throw new RangeError("No catalogue has been read yet. Choose a file first.");
    return encodeCatalogue(this.#catalogue);
  }

  /** The changes to a shop by the catalogue of the last preview. @param source its present one in binary form */
  compare(source: Uint8Array, shop: ShopAsIs, taken: readonly NewMend[]): ChangeSummary {
    if (!this.#catalogue) throw new RangeError("No catalogue has been read yet. Choose a file first.");
    return changeSummary(decodeCatalogue(source), shop, this.#catalogue, taken);
  }

  /** The reading of the shop's last file if the headings are the same; otherwise a guess. */
  #remembered(table: Table): Reading {
    const last = new Map(this.#known.reading.map(({ heading, ...column }) => [identity(heading), column]));
    const reading = suggestReading(table).map((column, at) => last.get(identity(table.header[at] ?? "")) ?? column);
    return withTitles(table, reading);
  }
}

const offered = (one: Ranked): Preview["facets"][number] => ({
  field: one.profile.field.key,
  name: one.profile.field.name,
  why: reasonFor(one),
});

/** SHA-256 in hex; undefined if the browser doesn't allow computing it on this page. */
async function hashOf(bytes: Uint8Array<ArrayBuffer>): Promise<string | undefined> {
  if (!globalThis.crypto?.subtle) return undefined;
  const digest = new Uint8Array(await crypto.subtle.digest("SHA-256", bytes));
  return Array.from(digest, (byte) => byte.toString(16).padStart(2, "0")).join("");
}

function firstDifferent({ records }: Table, at: number): string[] {
  const seen = new Set<string>();
  for (const { cells } of records) {
    const cell = cells[at]?.trim() ?? "";
    if (cell !== "") seen.add(cell);
    if (seen.size === shownSamples) break;
  }
  return [...seen];
}

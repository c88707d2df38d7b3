import { encodeCatalogue } from "../../core/catalogue/binary.ts";
import type { Catalogue } from "../../core/catalogue/catalogue.ts";
import type { Field } from "../../core/catalogue/field.ts";
import { identity } from "../../core/catalogue/identity.ts";
import { CatalogueError, type Problem } from "../../core/catalogue/problem.ts";
import { buildCatalogue, readTable } from "../../core/catalogue/read.ts";
import type { Reading, RememberedReading } from "../../core/catalogue/reading-schema.ts";
import { suggestReading, withTitles } from "../../core/catalogue/suggest-reading.ts";
import type { Table } from "../../core/catalogue/table.ts";
import { type FieldProfile, profileField } from "../../core/evidence/profile.ts";
import { CatalogueIndex } from "../../core/index/catalogue-index.ts";
import { facetRows } from "../../core/panel/panel.ts";
import { firstPanel } from "../../core/suggest/first-panel.ts";

/** One column of the file, before it means anything. */
export interface PreviewColumn {
  heading: string;
  samples: string[];
}

/** What a file would become with a reading of its columns. */
export interface Preview {
  columns: PreviewColumn[];
  reading: Reading;
  rows: number;
  /** Why the file cannot be taken; nothing below is there then. */
  fault?: Problem;
  products: number;
  variants: number;
  profiles: FieldProfile[];
  problems: Problem[];
  /** Facets of the first panel: field key and name. */
  facets: { field: string; name: string }[];
}

/** What the shop already knows about its columns. */
export interface KnownColumns {
  fields: readonly Field[];
  reading: readonly RememberedReading[];
}

const shownSamples = 3;
const nothing: Preview = {
  columns: [],
  reading: [],
  rows: 0,
  products: 0,
  variants: 0,
  profiles: [],
  problems: [],
  facets: [],
};

/** Reads one file: its table once, and its catalogue anew with every reading of the columns. */
export class FileReader {
  #table: Table | undefined;
  #catalogue: Catalogue | undefined;
  #known: KnownColumns;

  constructor(known: KnownColumns) {
    this.#known = known;
  }

  /** Takes a file. @param progress is told the share read so far */
  async open(file: Blob, progress: (share: number) => void): Promise<Preview> {
    try {
      this.#table = readTable(new Uint8Array(await file.arrayBuffer()), progress);
    } catch (error) {
      if (error instanceof CatalogueError) return { ...nothing, fault: error.problem };
      throw error;
    }
    return this.preview(this.#remembered(this.#table));
  }

  /** What the file becomes; as far as it goes, so that columns can be chosen even when a required one is missing. */
  preview(reading: Reading): Preview {
    const table = this.#table;
    if (!table) return nothing;
    const known: Preview = {
      ...nothing,
      reading,
      rows: table.records.length,
      columns: table.header.map((heading, at) => ({ heading, samples: firstDifferent(table, at) })),
    };
    this.#catalogue = undefined;
    try {
      const { catalogue, problems } = buildCatalogue(table, { reading, known: this.#known.fields });
      this.#catalogue = catalogue;
      const index = new CatalogueIndex(catalogue);
      return {
        ...known,
        products: index.products,
        variants: index.variants,
        profiles: catalogue.fields.map((field) => profileField(index, field)),
        problems,
        facets: facetRows(firstPanel(index, "First panel")).map(({ field }) => ({
          field,
          name: index.field(field)?.name ?? field,
        })),
      };
    } catch (error) {
      if (error instanceof CatalogueError) return { ...known, fault: error.problem };
      throw error;
    }
  }

  /** The catalogue of the last preview in binary form. @throws RangeError when there is none */
  pack(): Uint8Array<ArrayBuffer> {
    if (!this.#catalogue) throw new RangeError("No catalogue has been read yet.");
    return encodeCatalogue(this.#catalogue);
  }

  /** As the shop's last file was read, where it had the same headings; guessed otherwise. */
  #remembered(table: Table): Reading {
    const last = new Map(this.#known.reading.map(({ heading, ...column }) => [identity(heading), column]));
    const reading = suggestReading(table).map((column, at) => last.get(identity(table.header[at] ?? "")) ?? column);
    return withTitles(table, reading);
  }
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

import { CatalogueError, type Problem } from "../../core/catalogue/problem.ts";
import { buildCatalogue, type Mapping, readTable } from "../../core/catalogue/read.ts";
import { suggestMapping } from "../../core/catalogue/suggest-mapping.ts";
import { type FieldProfile, profileField } from "../../core/evidence/profile.ts";
import { firstPanel } from "../../core/evidence/suggest.ts";
import { CatalogueIndex } from "../../core/index/catalogue-index.ts";
import { facetRows } from "../../core/panel/document.ts";

/** One column of the file, before it means anything. */
export interface PreviewColumn {
  heading: string;
  samples: string[];
}

/** What a file would become with a column mapping. */
export interface Preview {
  columns: PreviewColumn[];
  mapping: Mapping;
  rows: number;
  /** Why the file cannot be taken; nothing below is there then. */
  fault?: Problem;
  products: number;
  variants: number;
  profiles: FieldProfile[];
  problems: Problem[];
  /** Facets of the first panel: field key and display. */
  facets: { field: string; name: string; display: string }[];
}

const shownSamples = 3;

/**
 * Reads a file as far as it goes, so that the columns can be chosen even when a required one is missing.
 * @param mapping guessed when there is none
 */
export function previewFile(bytes: Uint8Array, mapping?: Mapping): Preview {
  const nothing = { columns: [], mapping: [], rows: 0, products: 0, variants: 0, profiles: [], problems: [], facets: [] };
  let known: Preview = nothing;
  try {
    const table = readTable(bytes);
    const used = mapping ?? suggestMapping(table.header);
    known = {
      ...nothing,
      mapping: used,
      rows: table.records.length,
      columns: table.header.map((heading, at) => ({ heading, samples: firstDifferent(table.records.map(({ cells }) => cells[at])) })),
    };
    const { catalogue, problems } = buildCatalogue(table, { mapping: used });
    const index = new CatalogueIndex(catalogue);
    return {
      ...known,
      products: index.products,
      variants: index.variants,
      profiles: catalogue.fields.map((field) => profileField(index, field)),
      problems,
      facets: facetRows(firstPanel(index, "First panel")).map(({ field, display }) => ({
        field,
        name: index.field(field)?.name ?? field,
        display: display.wide,
      })),
    };
  } catch (error) {
    if (error instanceof CatalogueError) return { ...known, fault: error.problem };
    throw error;
  }
}

function firstDifferent(cells: readonly string[]): string[] {
  const seen = new Set<string>();
  for (const cell of cells) {
    if (cell.trim() !== "") seen.add(cell.trim());
    if (seen.size === shownSamples) break;
  }
  return [...seen];
}

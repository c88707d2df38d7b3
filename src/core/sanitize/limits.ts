import { maxLevels } from "./max-levels.ts";
import { maxVariants } from "./max-variants.ts";

/** One limit: the maximum, its unit, and what it applies to. */
interface Limit {
  max: number;
  unit: "bytes" | "characters" | "levels" | "s" | "";
  /** The limited thing, in words, for `docs/running.md`. */
  of: string;
}

const limit = (max: number, unit: Limit["unit"], of: string): Limit => ({ max, unit, of });
const MB = 1024 * 1024;

/**
 * Limits on what one caller may request. All external input is checked against one of these first, so that a small
 * input never causes large work. `npm run docs` writes the table in `docs/running.md`.
 */
export const limits = {
  upload: limit(256 * MB, "bytes", "a catalogue file, or a shop folder as a zip"),
  document: limit(8 * MB, "bytes", "a document that is saved"),
  question: limit(256 * 1024, "bytes", "a request of a shop’s page for counts or products"),
  picture: limit(1 * MB, "bytes", "a picture that is uploaded"),
  signIn: limit(4096, "bytes", "the sign-in form"),
  jsonDepth: limit(64, "levels", "nested brackets in JSON that is sent or read"),
  rows: limit(maxVariants, "", "rows of a catalogue"),
  columns: limit(2000, "", "columns of a catalogue"),
  heading: limit(500, "characters", "a heading of a catalogue’s column"),
  cell: limit(200_000, "characters", "a cell of a catalogue"),
  cells: limit(30_000_000, "", "cells of a catalogue, rows times columns"),
  pathLevels: limit(maxLevels, "levels", "levels of a category path; deeper ones make no options"),
  conditions: limit(1000, "", "conditions in one request"),
  folderFiles: limit(20_000, "", "files of a shop folder"),
  folderBytes: limit(1024 * MB, "bytes", "a shop folder, unpacked"),
  panels: limit(500, "", "panels of a shop folder, and as many looks"),
  pictures: limit(5000, "", "pictures of a shop folder"),
  message: limit(600, "characters", "the part of an input that an error quotes"),
  visitBatch: limit(64 * 1024, "bytes", "lines about visits that a page sends at once"),
  visitBatches: limit(300, "", "times that pages send visits of a shop within ten seconds"),
  keptVisits: limit(256 * MB, "bytes", "lines about visits that are kept for a shop"),
  previewNotes: limit(500, "", "notes on one preview"),
  notesAtOnce: limit(20, "", "notes on one preview within ten seconds"),
  waiting: limit(256, "", "requests for pages and answers in progress at once"),
  quickWork: limit(20, "s", "the work for a page or an answer"),
  longWork: limit(300, "s", "the work for an import, an export or a handoff"),
  passwordChecks: limit(2, "", "passwords that are checked at once, and one from each address"),
  keptAnswers: limit(64 * MB, "bytes", "cached pages, and as much again for cached answers"),
  keptCuts: limit(256 * MB, "bytes", "compressed catalogues cached for browsers"),
  keptCatalogues: limit(1024 * MB, "bytes", "catalogues cached for counting, in each thread"),
} as const satisfies Readonly<Record<string, Limit>>;

/** A limit for display, like “256 MB” or “2,000”. */
export function limitText({ max, unit }: Limit): string {
  if (unit === "bytes") {
    const [size, name] = max >= 1_000_000 ? [max / MB, "MB"] : [max / 1024, "kB"];
    return `${Math.round(size).toLocaleString("en")} ${name}`;
  }
  return `${max.toLocaleString("en")}${unit === "" ? "" : ` ${unit}`}`;
}

/** A text shortened for quoting in an error. */
export const quotable = (text: string, most: number = limits.message.max): string =>
  text.length > most ? `${text.slice(0, most)}…` : text;

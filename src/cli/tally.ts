import { closeSync, fstatSync, openSync, readSync, statSync } from "node:fs";
import { parseArgs } from "node:util";
import type { Catalogue } from "../core/catalogue/catalogue.ts";
import { type Field, knownRole } from "../core/catalogue/field.ts";
import { fromNumber, isDay, isNested, isNumeric, toNumber } from "../core/catalogue/field-kinds.ts";
import { identity } from "../core/catalogue/identity.ts";
import { applyMends } from "../core/catalogue/mend/apply.ts";
import { CatalogueError } from "../core/catalogue/problem.ts";
import { readCatalogue } from "../core/catalogue/read.ts";
import { hasHeading } from "../core/catalogue/shown-name.ts";
import { baseOf } from "../core/engine/base.ts";
import { liveCounts } from "../core/engine/count.ts";
import { CatalogueIndex } from "../core/engine/index/catalogue-index.ts";
import type { Level } from "../core/engine/index/option-schema.ts";
import { Matcher } from "../core/engine/matcher.ts";
import { type Choice, type Condition, type Facet, type Mode, modes } from "../core/engine/question.ts";
import { liveRange } from "../core/engine/range.ts";
import { withCollections } from "../core/page/with-collections.ts";
import { limits, limitText } from "../core/sanitize/limits.ts";
import type { Command } from "./command.ts";
import { UsageError } from "./usage-error.ts";

/** The output of `trellis tally`. */
export interface Tally {
  total: number;
  /** Ids of the matching products, in the catalogue's order. */
  products: string[];
  facets: Record<string, FacetTally>;
}

export type FacetTally =
  | { level: Level; mode: Mode; options: Record<string, number> }
  | { level: Level; mode: "range"; min: number | string | null; max: number | string | null };

/** Counts the facets of a catalogue file, or of a shop folder, for a selection. @throws UsageError, CatalogueError, FolderFault */
export async function tally(args: string[]): Promise<Tally> {
  const { file, facets: asked, picks, within } = readArgs(args);
  const isFolder = statSync(file, { throwIfNoEntry: false })?.isDirectory() ?? false;
  const catalogue = isFolder ? await mendedIn(file) : catalogueIn(file);
  const index = new CatalogueIndex(catalogue);

  const named = new Map<string, Facet>();
  for (const spec of asked) {
    const { name, facet } = readFacet(catalogue.fields, spec);
    if ([...named.values()].some((other) => other.field === facet.field)) {
      throw new UsageError(`--facet “${name}” appears twice. Remove one.`);
    }
    named.set(name, facet);
  }
  const facets = [...named.values()];
  const choices: Record<string, Choice> = {};
  for (const pick of picks) {
    const { field, value } = readPick(catalogue.fields, pick);
    let facet = facets.find((one) => one.field === field.key);
    if (!facet) {
      facet = { field: field.key, mode: defaultMode(field) };
      facets.push(facet);
    }
    if (choices[field.key])
      throw new UsageError(`“${field.name}” is picked twice. Join its values with “|” in one --pick.`);
    choices[field.key] = facet.mode === "range" ? readRange(field, value) : readValues(index, facet, field, value);
  }

  const page = baseOf(
    index,
    within.map((one) => [readCondition(index, one)]),
  );
  const matcher = new Matcher(index, page, facets, choices);
  const found = matcher.productIds();
  const entries = [...named].map(([name, facet]): [string, FacetTally] => {
    const level = index.level(facet.field);
    if (facet.mode === "range") {
      const { min, max } = liveRange(matcher, facet);
      const kind = index.field(facet.field)?.kind;
      const shown = (end: number | null) => (end !== null && kind && isDay({ kind }) ? fromNumber(end, kind) : end);
      return [name, { level, mode: "range", min: shown(min), max: shown(max) }];
    }
    const counts = liveCounts(matcher, facet);
    const { options } = index.options(facet.field, facet.mode === "tree");
    return [
      name,
      { level, mode: facet.mode, options: Object.fromEntries(options.map(({ label }, o) => [label, counts[o] ?? 0])) },
    ];
  });
  return {
    total: found.length,
    products: Array.from(found, (p) => catalogue.productIds[p] ?? ""),
    facets: Object.fromEntries(entries),
  };
}

/** A folder's catalogue, with its corrections done and its collections known. */
async function mendedIn(folder: string): Promise<Catalogue> {
  // Reading folders needs far more code than counting does, so it is loaded on demand.
  const { openFolder } = await import("./folder.ts");
  const { catalogue, mends, pages } = openFolder(folder);
  return withCollections(applyMends(catalogue, mends.mends), pages);
}

function catalogueIn(file: string): Catalogue {
  const { catalogue, problems } = readCatalogue(readBytes(file), { numbered: true });
  // A single bad value counts as not stated, but a missing row would make every count wrong.
  const broken = problems.find((problem) => problem.value === undefined);
  if (broken) throw new CatalogueError(broken);
  return catalogue;
}

/** {@link tally} as a command. */
export const tallyCommand: Command = {
  name: "tally",
  about: "Counts a catalogue’s facets for a selection, as shoppers would see them.",
  usage:
    "trellis tally CATALOGUE|FOLDER [--facet NAME[:any|all|one|range|tree]]… [--pick 'NAME=VALUE|VALUE']… [--pick 'NAME=LO..HI']… [--within …]…",
  options: [
    ["--facet NAME[:MODE]", "Field to count; MODE is any, all, one, range or tree"],
    ["--pick 'NAME=A|B'", "Choose options, or a range as LO..HI; can be given several times"],
    ["--within 'NAME=A|B'", "Count only products that match; can be given several times"],
  ],
  example: "trellis tally demo/nursery.csv --facet 'Flower colour' --facet price --pick 'Flower colour=Apricot|Cream'",
  run: async (args) => ({ text: JSON.stringify(await tally(args), null, 2), status: 0 }),
};

const several = { type: "string", multiple: true } as const;

function readArgs(args: string[]): { file: string; facets: string[]; picks: string[]; within: string[] } {
  try {
    const { values, positionals } = parseArgs({
      args,
      allowPositionals: true,
      options: { facet: several, pick: several, within: several },
    });
    const [file, ...others] = positionals;
    if (file === undefined || others.length > 0)
      throw new UsageError("Name one catalogue file, like: trellis tally CATALOGUE.csv --facet colour");
    return { file, facets: values.facet ?? [], picks: values.pick ?? [], within: values.within ?? [] };
  } catch (error) {
    throw error instanceof UsageError ? error : new UsageError((error as Error).message);
  }
}

function readBytes(file: string): Uint8Array {
  try {
    return readLimited(file);
  } catch (error) {
    if (error instanceof UsageError) throw error;
    const code = (error as NodeJS.ErrnoException).code;
    throw new UsageError(
      `${file} can’t be read: ${code === "ENOENT" ? "there is no such file" : (code ?? "unknown reason")}.`,
    );
  }
}

/** A file, or a stream up to the maximum size of a catalogue. @throws UsageError if it is larger */
function readLimited(file: string): Uint8Array {
  const handle = openSync(file, "r");
  try {
    const chunks: Buffer[] = [];
    let size = 0;
    for (;;) {
      const chunk = Buffer.allocUnsafe(
        Math.min(Math.max(fstatSync(handle).size + 1, 1024 * 1024), limits.upload.max + 1),
      );
      const read = readSync(handle, chunk);
      if (read === 0) return Buffer.concat(chunks);
      size += read;
      if (size > limits.upload.max)
        throw new UsageError(
          `${file} has more than ${limitText(limits.upload)}, the largest size that a catalogue can have.`,
        );
      chunks.push(chunk.subarray(0, read));
    }
  } finally {
    closeSync(handle);
  }
}

function readFacet(fields: readonly Field[], spec: string): { name: string; facet: Facet } {
  const whole = findField(fields, spec);
  if (whole) return { name: spec, facet: { field: whole.key, mode: defaultMode(whole) } };
  const colon = spec.lastIndexOf(":");
  const [name, mode] = colon < 0 ? [spec, undefined] : [spec.slice(0, colon), spec.slice(colon + 1)];
  const field = findField(fields, name);
  if (!field) throw unknownFacet(fields, name);
  if (!modes.includes(mode as Mode))
    throw new UsageError(`“${mode}” is not a mode of “${name}”. Use one of ${modes.join(", ")}.`);
  return { name, facet: { field: field.key, mode: mode as Mode } };
}

function readPick(fields: readonly Field[], pick: string, option = "--pick"): { field: Field; value: string } {
  const equals = pick.indexOf("=");
  if (equals < 0)
    throw new UsageError(`${option} '${pick}' has no “=”. Write it like 'colour=black|white' or 'price=10..20'.`);
  const field = findField(fields, pick.slice(0, equals));
  if (!field) throw unknownFacet(fields, pick.slice(0, equals));
  return { field, value: pick.slice(equals + 1) };
}

/** A standing condition: the choice that the same words would make, applied always and to every facet. */
function readCondition(index: CatalogueIndex, text: string): Condition {
  const { field, value } = readPick(index.catalogue.fields, text, "--within");
  const mode = defaultMode(field);
  const choice =
    mode === "range" ? readRange(field, value) : readValues(index, { field: field.key, mode }, field, value);
  return { field: field.key, ...choice };
}

function readRange(field: Field, text: string): Choice {
  const parts = text.split("..");
  const end = (part: string) => {
    if (part.trim() === "") return undefined;
    const value = toNumber(part, field.kind);
    if (Number.isNaN(value)) {
      throw new UsageError(
        `“${part}” in --pick '${field.name}=${text}' is not a ${isDay(field) ? "date like 2026-03-31" : "number"}.`,
      );
    }
    return value;
  };
  const [from, to] = parts;
  if (parts.length !== 2 || from === undefined || to === undefined)
    throw new UsageError(`--pick '${field.name}=${text}' is not a range. Write it like 10..20, 10.. or ..20.`);
  return { min: end(from), max: end(to) };
}

function readValues(index: CatalogueIndex, { field, mode }: Facet, { name }: Field, text: string): Choice {
  const options = index.options(field, mode === "tree");
  const ids = text
    .split("|")
    .map(identity)
    .filter((id) => id !== "");
  if (ids.length === 0) throw new UsageError(`--pick '${name}=${text}' has no value after “=”.`);
  const unknown = ids.find((id) => !options.at.has(id));
  if (unknown !== undefined) {
    throw new UsageError(
      `No product has the value “${unknown}” for ${name}. Values are: ${listed(options.options.map((option) => option.label))}.`,
    );
  }
  if (mode === "one" && new Set(ids).size > 1)
    throw new UsageError(`${name} allows one value only, but ${ids.length} are picked.`);
  return { options: [...new Set(ids)] };
}

/** Range for numbers and dates, tree for categories, any-of for the rest. */
export function defaultMode(field: Field): Mode {
  if (isNested(field)) return "tree";
  return isNumeric(field) ? "range" : "any";
}

function findField(fields: readonly Field[], name: string): Field | undefined {
  const role = knownRole(name);
  return fields.find((field) => (role !== undefined && field.role === role) || hasHeading(field, name));
}

function unknownFacet(fields: readonly Field[], name: string): UsageError {
  return new UsageError(
    `There is no facet “${name}” in this catalogue. It has: ${fields.map((field) => field.name.toLowerCase()).join(", ")}.`,
  );
}

function listed(names: readonly string[]): string {
  return names.length > 12 ? `${names.slice(0, 12).join(", ")} and ${names.length - 12} more` : names.join(", ");
}

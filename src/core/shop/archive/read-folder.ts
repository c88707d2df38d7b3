import { getNodeValue } from "jsonc-parser";
import type { Catalogue } from "../../catalogue/catalogue.ts";
import { completeCatalogue } from "../../catalogue/complete.ts";
import { type Field, isDerivedRole } from "../../catalogue/field.ts";
import { identity } from "../../catalogue/identity.ts";
import { CatalogueError, problemText } from "../../catalogue/problem.ts";
import { buildCatalogue, readTable } from "../../catalogue/read.ts";
import type { ColumnMapping } from "../../catalogue/reading-schema.ts";
import { suggestReading } from "../../catalogue/suggest-reading.ts";
import { JsonFault, lineOfPath, parseJsonText } from "../../document/json-text.ts";
import { checkDocument } from "../../document/kind.ts";
import { checkValue, InvalidDocument } from "../../document/schema.ts";
import { sentence } from "../../document/words.ts";
import { limits, limitText } from "../../sanitize/limits.ts";
import { documentsFrom, type Named } from "../documents.ts";
import type { AnyKind } from "../kinds.ts";
import { type Manifest, manifestSchema, orderIn } from "./manifest-schema.ts";
import {
  FolderFault,
  fileOf,
  isDocumentName,
  isPictureName,
  maxBytes,
  maxFiles,
  type ShopFiles,
} from "./shop-files.ts";
import type { WholeShop } from "./whole-shop.ts";

/**
 * Reads a shop's folder. Other files (a README, a hidden folder) are skipped.
 * @param known the catalogue, if not in `catalogue.csv`
 * @throws FolderFault with the file and line of the first fault
 */
export function readFolder(files: ShopFiles, known?: Catalogue): WholeShop {
  if (files.size > maxFiles)
    throw new FolderFault(
      ".",
      undefined,
      `The folder has more than ${limitText(limits.folderFiles)} files. Split the shop.`,
    );
  let bytes = 0;
  for (const one of files.values()) bytes += one.length;
  if (bytes > maxBytes)
    throw new FolderFault(".", undefined, `The folder has more than ${limitText(limits.folderBytes)}. Split the shop.`);
  const manifest = readJsonFile(files, "shop.json", (value) => checkValue("shop’s folder", manifestSchema(), value));
  const one = (kind: AnyKind): object =>
    files.has(fileOf(kind, undefined))
      ? readJsonFile(files, fileOf(kind, undefined), (value) => checkDocument(kind, value))
      : kind.fresh("");
  return {
    name: manifest.name,
    currency: manifest.currency,
    reading: manifest.reading,
    catalogue: known ?? readCatalogueFile(files, manifest),
    pictures: readPictures(files),
    ...documentsFrom((kind) => {
      if (kind.inManifest) return manifest.settings;
      return kind.many ? readMany(files, kind, orderIn(manifest, kind)) : one(kind);
    }),
  };
}

function textOf(files: ShopFiles, path: string): string {
  const bytes = files.get(path);
  if (!bytes) throw new FolderFault(path, undefined, "This file is missing. Import the whole folder.");
  try {
    return new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch {
    throw new FolderFault(path, undefined, "This file is not UTF-8 text. Save it as UTF-8.");
  }
}

/** Parses and checks a JSON file; faults are reported with their lines. */
export function readJsonFile<T>(files: ShopFiles, path: string, check: (value: unknown) => T): T {
  const text = textOf(files, path);
  try {
    const json = parseJsonText(text);
    const value: unknown = getNodeValue(json.root);
    try {
      if (typeof value !== "object" || value === null || Array.isArray(value)) return check(value);
      const { $schema: _named, ...own } = value as Record<string, unknown>;
      return check(own);
    } catch (error) {
      if (!(error instanceof InvalidDocument)) throw error;
      throw new FolderFault(path, lineOfPath(json, error.path), sentence(error.message));
    }
  } catch (error) {
    if (error instanceof JsonFault) throw new FolderFault(path, error.line, error.message);
    throw error;
  }
}

/** Documents of a kind, in the manifest's order; others follow by name. */
function readMany(files: ShopFiles, kind: AnyKind, order: readonly string[]): Named<object>[] {
  const folder = kind.member;
  const found = [...files.keys()].flatMap((path) => {
    const name = new RegExp(`^${folder}/([^/]+)\\.json$`).exec(path)?.[1];
    if (name === undefined) return [];
    if (!isDocumentName(name))
      throw new FolderFault(path, undefined, "Its name can have letters, digits, - and _ only.");
    return [name];
  });
  if (found.length > limits.panels.max)
    throw new FolderFault(
      folder,
      undefined,
      `The folder has more than ${limitText(limits.panels)} files. Split the shop.`,
    );
  const missing = order.find((name) => !found.includes(name));
  if (missing !== undefined)
    throw new FolderFault(`${folder}/${missing}.json`, undefined, "shop.json names this file, but it is missing.");
  const folded = found.map((name) => name.toLowerCase());
  const twice = found.find((name, at) => folded.indexOf(name.toLowerCase()) !== at);
  if (twice !== undefined)
    throw new FolderFault(
      `${folder}/${twice}.json`,
      undefined,
      "A different file has the same name except for capital letters.",
    );
  const place = (name: string) => (order.includes(name) ? order.indexOf(name) : order.length);
  return found
    .sort((a, b) => place(a) - place(b) || (a < b ? -1 : 1))
    .map((slug) => ({
      slug,
      document: readJsonFile(files, `${folder}/${slug}.json`, (value) => checkDocument(kind, value)),
    }));
}

function readPictures(files: ShopFiles): Map<string, Uint8Array> {
  const pictures = new Map<string, Uint8Array>();
  for (const [path, bytes] of files) {
    const name = /^pictures\/(.+)$/.exec(path)?.[1];
    if (name === undefined) continue;
    if (!isPictureName(name))
      throw new FolderFault(
        path,
        undefined,
        "A picture’s name must be the SHA-256 of its content, followed by .svg, .png, .jpg or .webp.",
      );
    pictures.set(name, bytes);
    if (pictures.size > limits.pictures.max)
      throw new FolderFault(
        "pictures",
        undefined,
        `The folder has more than ${limitText(limits.pictures)} pictures. Remove those that no value uses.`,
      );
    if (bytes.length > limits.picture.max)
      throw new FolderFault(
        path,
        undefined,
        `This picture has more than ${limitText(limits.picture)}. Make it smaller.`,
      );
  }
  return pictures;
}

const headingOf = ({ role, name }: Field): string => (role === "attribute" ? name : role);

/** The catalogue, with columns as described in the manifest; an unknown one is read as a new column. */
function readCatalogueFile(files: ShopFiles, { columns }: Manifest): Catalogue {
  const path = "catalogue.csv";
  const bytes = files.get(path);
  if (!bytes) throw new FolderFault(path, undefined, "This file is missing. Import the whole folder.");
  try {
    const table = readTable(bytes);
    const guessed = suggestReading(table);
    const known = new Map(columns.map((field) => [identity(headingOf(field)), field]));
    const reading = table.header.map((heading, at): ColumnMapping => {
      const field = known.get(identity(heading));
      if (!field) return heading === "product_id" ? { as: "product_id" } : (guessed[at] ?? { as: "attribute" });
      const { role, given, titles } = field;
      if (isDerivedRole(role)) return { as: "skip" };
      return { as: role, ...(given ? { kind: given } : {}), ...(titles ? { titles } : {}) };
    });
    const { catalogue, problems } = buildCatalogue(table, { reading, known: columns });
    const broken = problems.find(({ value }) => value === undefined);
    if (broken) throw new CatalogueError(broken);
    const byKey = new Map(columns.map((field) => [field.key, field]));
    const fields = catalogue.fields.map((field) => {
      const { name, unit } = byKey.get(field.key) ?? field;
      return { ...field, name, ...(unit === undefined ? {} : { unit }) };
    });
    return completeCatalogue({ ...catalogue, fields });
  } catch (error) {
    if (!(error instanceof CatalogueError)) throw error;
    const { row, ...problem } = error.problem;
    throw new FolderFault(path, row, problemText(problem));
  }
}

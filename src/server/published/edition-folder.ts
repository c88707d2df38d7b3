import { existsSync, mkdirSync, readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import type { ISchema } from "yup";
import {
  type CurrentEdition,
  currentEdition,
  type EditionManifest,
  editionFormat,
  editionManifest,
} from "../../core/shop/archive/edition-manifest.ts";
import { stableJson } from "../../core/shop/archive/stable-json.ts";
import type { WholeShop } from "../../core/shop/archive/whole-shop.ts";
import { replaceFile } from "../disk/files.ts";
import { hashOf } from "../hash.ts";
import { openFiles, type SnapshotFiles } from "./snapshot-files.ts";

/**
 * Editions as files: `current.json` names the edition that shoppers see, `edition-N.json` lists the files of each, and
 * `content/HASH` are their contents, named by SHA-256.
 */
const currentName = "current.json";
const contentFolder = "content";
const manifestName = (n: number): string => `edition-${n}.json`;

/** A folder that can’t be used for editions, or a file in it that is missing or was changed. */
export class EditionFault extends Error {
  override name = "EditionFault";
}

/** All files of one edition, to be written in this order: a reader never finds a name without its content. */
export function editionFiles(
  manifest: EditionManifest,
  contents: SnapshotFiles["contents"],
): (readonly [path: string, bytes: Uint8Array | string])[] {
  const { format, shop, edition } = manifest;
  return [
    ...[...contents].map(([hash, bytes]) => [`${contentFolder}/${hash}`, bytes] as const),
    [manifestName(edition), stableJson(manifest)],
    [currentName, stableJson({ format, shop, edition } satisfies CurrentEdition)],
  ];
}

/**
 * Checks that a shop’s editions can be written into a folder.
 * @throws EditionFault if the folder holds anything else, or editions of a different shop
 */
export function checkTarget(folder: string, shop: string): void {
  const there = existsSync(folder) ? readdirSync(folder) : [];
  if (there.length > 0 && !there.includes(currentName))
    throw new EditionFault(`${folder} contains other files. Choose an empty folder.`);
  const before = there.length > 0 ? readCurrent(folder) : undefined;
  if (before && before.shop !== shop)
    throw new EditionFault(
      `${folder} has editions of the shop “${before.shop}”, not of “${shop}”. Choose a different folder.`,
    );
}

/**
 * Writes an edition into a folder and makes it the current one. Earlier editions in it stay, and contents that they
 * share are written once.
 * @throws EditionFault if the folder holds anything else, or editions of a different shop
 */
export function writeEdition(folder: string, manifest: EditionManifest, contents: SnapshotFiles["contents"]): void {
  checkTarget(folder, manifest.shop);
  mkdirSync(join(folder, contentFolder), { recursive: true });
  for (const [path, bytes] of editionFiles(manifest, contents)) {
    const file = join(folder, path);
    // Named by its content; a damaged file is replaced.
    if (path.startsWith(`${contentFolder}/`) && existsSync(file) && isIntact(file, path)) continue;
    replaceFile(file, bytes);
  }
}

const isIntact = (file: string, path: string): boolean => path.endsWith(hashOf(readFileSync(file)));

/** The edition that a folder’s shoppers see. @throws EditionFault */
export const readCurrent = (folder: string): CurrentEdition => readJson(folder, currentName, currentEdition);

/** The number of the edition that the next one follows in a folder; 0 if there is none. @throws EditionFault */
export const lastEdition = (folder: string): number =>
  existsSync(join(folder, currentName)) ? Math.max(...editionsIn(folder)) : 0;

/** The numbers of the editions in a folder. */
export const editionsIn = (folder: string): number[] =>
  readdirSync(folder).flatMap((name) => {
    const [, n] = /^edition-([1-9]\d*)\.json$/.exec(name) ?? [];
    return n === undefined ? [] : [Number(n)];
  });

/** An edition of a folder, read whole. */
export interface ReadEdition {
  manifest: EditionManifest;
  whole: WholeShop;
}

/** The list of an edition’s files. @throws EditionFault if it is missing or damaged */
export function readManifest(folder: string, n: number): EditionManifest {
  const manifest = readJson(folder, manifestName(n), editionManifest);
  if (manifest.edition !== n) throw new EditionFault(`${join(folder, manifestName(n))} is of a different edition.`);
  return manifest;
}

/** Reads an edition, and checks every file against its hash. @throws EditionFault if a file is missing or changed */
export function readEdition(folder: string, n: number): ReadEdition {
  const manifest = readManifest(folder, n);
  const files = new Map<string, Uint8Array>();
  for (const [path, hash] of Object.entries(manifest.files)) {
    const file = join(folder, contentFolder, hash);
    const again = "Publish the edition into this folder again.";
    let bytes: Uint8Array;
    try {
      bytes = new Uint8Array(readFileSync(file));
    } catch {
      throw new EditionFault(`${file}, the content of ${path}, is missing. ${again}`);
    }
    if (hashOf(bytes) !== hash)
      throw new EditionFault(`${file}, the content of ${path}, was changed: its hash differs. ${again}`);
    files.set(path, bytes);
  }
  return { manifest, whole: openFiles(files) };
}

function readJson<T>(folder: string, name: string, schema: ISchema<T> & { validateSync(value: unknown): unknown }): T {
  const file = join(folder, name);
  let text: string;
  try {
    text = readFileSync(file, "utf8");
  } catch {
    throw new EditionFault(`${file} can’t be read. Name a folder that trellis publish has written.`);
  }
  try {
    return schema.validateSync(JSON.parse(text)) as T;
  } catch (error) {
    const old = text.includes(editionFormat) ? "" : ` Its format is not ${editionFormat}.`;
    throw new EditionFault(`${file} is not valid: ${(error as Error).message}.${old} Publish it again.`);
  }
}

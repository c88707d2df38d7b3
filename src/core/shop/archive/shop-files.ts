import { limits } from "../../sanitize/limits.ts";
import { type AnyKind, allKinds } from "../kinds.ts";

/** A shop as files: their content by path in the folder, with `/` as separator. */
export type ShopFiles = ReadonlyMap<string, Uint8Array>;

/** Something unusable in a shop's folder: which file, where in it, and what to do. */
export class FolderFault extends Error {
  override name = "FolderFault";
  readonly file: string;
  /** From 1; undefined if it concerns the whole file. */
  readonly line: number | undefined;
  constructor(file: string, line: number | undefined, message: string) {
    super(`${file}${line === undefined ? "" : `, line ${line}`}: ${message}`);
    this.file = file;
    this.line = line;
  }
}

/** Maximum number and total size of files in a folder. */
export const maxFiles = limits.folderFiles.max;
export const maxBytes = limits.folderBytes.max;

/** Whether a text is a document's name, as used in addresses: letters, digits, dashes. */
export const isDocumentName = (name: string): boolean => /^[\p{L}\p{N}_-]{1,200}$/u.test(name);

/** Whether a text is a picture's name: the hash of its content, and its type. */
export const isPictureName = (name: string): boolean => /^[0-9a-f]{64}\.(?:svg|png|jpg|webp)$/.test(name);

/** The path of a document's file among a shop's files. */
export const fileOf = ({ many, member }: Pick<AnyKind, "many" | "member">, slug: string | undefined): string =>
  many ? `${member}/${slug}.json` : `${member}.json`;

/** The folders of a shop's files. */
export const ownFolders = (): string[] => [
  ...allKinds()
    .filter(({ many }) => many)
    .map(({ member }) => member),
  "pictures",
];

/** Whether a path is one of a shop's own files. Others are skipped. */
export function isOwnFile(path: string): boolean {
  const [first = "", second, ...deeper] = path.split("/");
  if (deeper.length > 0) return false;
  if (second !== undefined) return second !== "" && ownFolders().includes(first);
  const single = allKinds().filter(({ many, inManifest }) => !many && !inManifest);
  return ["shop.json", "catalogue.csv", ...single.map((kind) => fileOf(kind, undefined))].includes(first);
}

import { zipSync } from "fflate";
import { identity } from "../catalogue/identity.ts";
import type { Option } from "../engine/index/option-schema.ts";
import { unzip } from "../sanitize/unzip.ts";
import { differs, entryOf } from "./book.ts";
import type { SwatchDocument } from "./book-schema.ts";
import { type SwatchEdit, setWhole, type ValueName } from "./edit.ts";
import { type LineProblem, readSwatchCsv, type SwatchLine, writeSwatchCsv } from "./formats.ts";
import type { NameGuess } from "./name-guess.ts";
import { swatchViewOf } from "./view.ts";

/** Every value with a swatch: given by the designer, or guessed, marked accordingly. */
export function linesOfBook(
  book: SwatchDocument,
  fields: readonly { key: string; options: readonly Option[] }[],
  guess: (label: string) => NameGuess | undefined,
): SwatchLine[] {
  return fields.flatMap(({ key, options }) =>
    options.flatMap(({ id, label }): SwatchLine[] => {
      const entry = entryOf(book, key, id);
      const given = { field: key, name: label };
      if (entry && Object.keys(entry).length > 0)
        return [{ ...given, entry, from: differs(book, key, id) ? "own" : "shared" }];
      const { source, colours } = swatchViewOf(book, key, id, guess(label));
      if ((source !== "name" && source !== "photos") || !colours) return [];
      return [{ ...given, entry: { colours: [...colours] }, from: source }];
    }),
  );
}

/** The effect of a list of swatches on a field's values, and its names that no value has. */
export function takeLines(
  lines: readonly SwatchLine[],
  field: { key: string; name: string },
  values: readonly ValueName[],
): { edit: SwatchEdit | undefined; taken: number; unknown: string[] } {
  const byId = new Map(values.map((value) => [value.id, value]));
  // A guess remains a guess: skips it if the same or a better one exists already.
  const fitting = lines.filter(
    ({ field: of, from }) =>
      from !== "name" &&
      from !== "photos" &&
      (of === undefined || of === field.key || identity(of) === identity(field.name)),
  );
  const known = fitting.flatMap(({ name, entry, from }) => {
    const value = byId.get(identity(name));
    return value ? [{ value, entry, own: from === undefined ? undefined : from === "own" }] : [];
  });
  return {
    edit: known.length === 0 ? undefined : setWhole(known, `${field.name}: ${known.length} swatches from a list`),
    taken: known.length,
    unknown: fitting.filter(({ name }) => !byId.has(identity(name))).map(({ name }) => name),
  };
}

const listName = "swatches.csv";
const folder = "pictures/";
/**
 * All files in a zip have the same time, so that the same book gives the same bytes: the earliest time a zip can
 * express.
 */
const mtime = new Date(1980, 0, 1);
/** Maximum number and total size of files in a zip. */
const maxFiles = 5000;
const maxBytes = 256 * 1024 * 1024;

/** A book and its pictures as one file; the list names each picture's file. @param pictures by address */
export function zipLines(lines: readonly SwatchLine[], pictures: ReadonlyMap<string, Uint8Array>): Uint8Array {
  const files: Record<string, Uint8Array> = {};
  const named = lines.map((line): SwatchLine => {
    const { picture } = line.entry;
    const bytes = picture === undefined ? undefined : pictures.get(picture);
    if (picture === undefined || !bytes) return line;
    const file = freeName(files, line.name, picture.split(".").at(-1) ?? "svg");
    files[folder + file] = bytes;
    return { ...line, entry: { ...line.entry, picture: file } };
  });
  return zipSync({ [listName]: new TextEncoder().encode(writeSwatchCsv(named)), ...files }, { mtime, level: 6 });
}

/** The list and the pictures in a zip. @throws ZipFault, RangeError if it contains no list */
export function unzipLines(bytes: Uint8Array): {
  lines: SwatchLine[];
  problems: LineProblem[];
  /** By their names in the list. */
  pictures: Map<string, Uint8Array>;
} {
  const isOurs = (name: string) =>
    name === listName || (name.startsWith(folder) && !name.includes("..") && !name.endsWith("/"));
  const files = unzip(bytes, isOurs, { maxFiles: maxFiles, maxBytes: maxBytes });
  const list = files.get(listName);
  if (!list) throw new RangeError("There is no swatches.csv in this zip.");
  return {
    ...readSwatchCsv(new TextDecoder().decode(list)),
    pictures: new Map(
      [...files].flatMap(([path, content]) =>
        path.startsWith(folder) ? [[path.slice(folder.length), content] as const] : [],
      ),
    ),
  };
}

/** An unused file name for a value. */
function freeName(files: Readonly<Record<string, unknown>>, label: string, end: string): string {
  const plain = label.replaceAll(/[^\p{L}\p{N} _-]+/gu, "-").slice(0, 80) || "picture";
  for (let n = 1; ; n++) {
    const name = `${plain}${n === 1 ? "" : ` ${n}`}.${end}`;
    if (!Object.hasOwn(files, folder + name)) return name;
  }
}

import { crc32 } from "node:zlib";
import { zipSync } from "fflate";
import { decodeCatalogue, encodeCatalogue } from "../../src/core/catalogue/binary.ts";
import { decodeText } from "../../src/core/catalogue/decode.ts";
import { readCatalogue } from "../../src/core/catalogue/read.ts";
import { limits } from "../../src/core/sanitize/limits.ts";
import { unzip } from "../../src/core/sanitize/unzip.ts";
import { readFolder } from "../../src/core/shop/archive/read-folder.ts";
import { unzipFolder } from "../../src/core/shop/archive/zip.ts";
import { shopKind } from "../../src/core/shop/kind.ts";
import { casesOf, type ErrorCase } from "./case.ts";

const bytesOf = (text: string) => new TextEncoder().encode(text);
const read = (text: string) => () => readCatalogue(bytesOf(text));
const problem = (text: string) => () => readCatalogue(bytesOf(text)).problems[0]?.message;
const id = "product_id";
const plain = `${id},title\na,A\n`;

const tables = casesOf([
  ["The file is empty. Choose a CSV file with a header row.", read(" \n")],
  ["The file has no header row. Put the column names in the first row.", read(",,\n,,\n")],
  [
    "Row 2: A quotation mark is opened here and never closed. Close it; to use one inside a value, double it.",
    read(`${id},title\na,"A`),
  ],
  [
    "Row 2: This quoted value continues after its closing quotation mark. To use a quotation mark inside a value, double it.",
    read(`${id},title\na,"A"b\n`),
  ],
  [
    "This row has 1 cells and the header has 2. Quote values that contain a “,”, or fill in the missing cells.",
    problem(`${plain}b\n`),
  ],
  [
    "This file is UTF-16. Save it again as “CSV UTF-8” and import that file.",
    () => readCatalogue(new Uint8Array([0xff, 0xfe, 0x61, 0])),
  ],
  [
    "Row 1: The text is not UTF-8. Save the file again as “CSV UTF-8” and import that file.",
    () => readCatalogue(new Uint8Array([0x61, 0xe9, 0x0a])),
  ],
  [
    "The text is not Japanese (Shift JIS). Choose a different encoding.",
    () => decodeText(new Uint8Array([0x61, 0xff, 0x0a]), "shift_jis"),
  ],
  [
    "Row 1: There is a null character, so this is not a text file. Export the catalogue as CSV.",
    () => readCatalogue(new Uint8Array([0x61, 0, 0x0a])),
  ],
  [
    "Row 2: This is not an object. Import a list of objects, one per variant, or schema.org products.",
    read('["a", "b"]'),
  ],
  [
    "Brackets are nested more than 64 levels deep. Export the products as a plain list.",
    read("[".repeat(70) + "]".repeat(70)),
  ],
  ["This is not valid JSON: …. Export the file again.", read("[{")],
  ["Row 2: This line is not valid JSON: …. Each line must be one whole object.", read('{"title":"A"}\n{"title":\n')],
  ["Row 1: There are no products below the header row. Choose a file with at least one.", read(`${id},title\n`)],
  ["The product id is empty, so this row was skipped. Fill in the product id.", problem(`${plain},B\n`)],
  [
    "This is not a number, so the cell counts as empty. Write it like 1234.50, or choose the number format of this column.",
    problem(`${id},price\na,cheap\n`),
  ],
  [
    "This is neither a number nor a known stock status, so availability is unknown. Write a number, or “in stock” or “out of stock”.",
    problem(`${id},stock\na,plenty of them\n`),
  ],
  [
    "This is not a date, so the cell counts as empty. Write it like 2026-03-31, or choose the date format of this column.",
    () =>
      readCatalogue(bytesOf(`${id},bought\na,soon\n`), {
        reading: [{ as: "product_id" }, { as: "attribute", kind: "date" }],
      }).problems[0]?.message,
  ],
  [
    "This is not a year, so the cell counts as empty. Write it like 1994, or use the column as text.",
    () =>
      readCatalogue(bytesOf(`${id},built\na,long ago\n`), {
        reading: [{ as: "product_id" }, { as: "attribute", kind: "year" }],
      }).problems[0]?.message,
  ],
  [
    'Row 1, column "title": This heading appears twice. Rename one of the two columns.',
    read(`${id},title,title\na,A,B\n`),
  ],
  [
    "Row 1: Two columns are used as “title”. Choose one.",
    () =>
      readCatalogue(bytesOf("name,label\na,A\n"), {
        reading: [{ as: "title" }, { as: "title" }],
      }),
  ],
  [
    "Row 1: There are 2,001 columns, but at most 2,000 are possible. Leave out columns that shoppers don’t need.",
    read(`${Array.from({ length: 2001 }, (_, at) => `c${at}`).join(",")}\n`),
  ],
  [
    "Row 1: The heading “…” has 501 characters; the limit is 500 characters. Check that the first row is the header, or shorten it.",
    read(`${"h".repeat(501)},b\n`),
  ],
  [
    "Row 15002: The file has more than 15,000 rows, the most that a catalogue can have with 2,000 columns. Split the file, or leave out products that are not for sale.",
    read(`${Array.from({ length: 2000 }, (_, at) => `c${at}`).join(",")}\n${`a${",".repeat(1999)}\n`.repeat(15_001)}`),
  ],
  [
    'Row 2, column "b": This cell has 200,001 characters; the limit is 200,000 characters. Shorten it. A missing closing quotation mark can be the cause.',
    read(`a,b\n1,${"x".repeat(200_001)}\n`),
  ],
]);

const packed = encodeCatalogue(readCatalogue(bytesOf(plain)).catalogue);
/** A packed catalogue, changed, with a checksum that fits again. */
const repacked = (change: (bytes: Uint8Array) => Uint8Array) => () => {
  const copy = packed.slice();
  const bytes = change(copy);
  new DataView(bytes.buffer).setUint32(8, crc32(bytes.subarray(12)), true);
  return decodeCatalogue(bytes);
};
/** The same with something in its header replaced by as many characters. */
const withHeader = (from: string, to: string) =>
  repacked((bytes) => {
    const text = new TextDecoder("latin1").decode(bytes);
    if (from.length !== to.length || !text.includes(from)) throw new TypeError(`${from} is not in ${text}`);
    return Uint8Array.from(Buffer.from(text.replace(from, to), "latin1"));
  });

const packages = casesOf([
  [
    "This file is not a catalogue packed by this tool. Choose the original file.",
    () => decodeCatalogue(bytesOf("product_id,title\na,A\n")),
  ],
  [
    "The catalogue has format 99 but this page reads format …. Reload the page.",
    () => {
      const other = packed.slice();
      new DataView(other.buffer).setUint32(4, 99, true);
      return decodeCatalogue(other);
    },
  ],
  [
    "The catalogue arrived damaged. Reload the page.",
    () => {
      const other = packed.slice();
      other[other.length - 1] = (other.at(-1) ?? 0) ^ 1;
      return decodeCatalogue(other);
    },
  ],
  ["The catalogue is incomplete. Reload the page.", repacked((bytes) => bytes.slice(0, -4))],
  ["The catalogue is damaged. Reload the page.", withHeader('"variants":1', '"variants":2')],
  ["The column “title” is damaged. Reload the page.", withHeader('"spellings":["A"]', '"spellings":[   ]')],
  [
    "A field of the catalogue has no column. Reload the page.",
    withHeader('"columns":[{"key":"product-id"', '"columns":[{"key":"product-no"'),
  ],
]);

const manifest = JSON.stringify({
  format: 1,
  name: "A",
  currency: "EUR",
  columns: [],
  reading: [],
  panels: [],
  looks: [],
  settings: shopKind.fresh(""),
});
const folder = (files: Record<string, string | Uint8Array>, without: string[] = []) => {
  const all = { "shop.json": manifest, "catalogue.csv": plain, ...files };
  return new Map(
    Object.entries(all)
      .filter(([path]) => !without.includes(path))
      .map(([path, content]) => [path, typeof content === "string" ? bytesOf(content) : content]),
  );
};
const openFolder = (files: Record<string, string | Uint8Array>, without?: string[]) => () =>
  readFolder(folder(files, without));
const many = (count: number, name: (at: number) => string) =>
  Object.fromEntries(Array.from({ length: count }, (_, at) => [name(at), ""]));
const hash = (at: number) => at.toString(16).padStart(64, "0");

const folders = casesOf([
  ["shop.json: This file is missing. Import the whole folder.", openFolder({}, ["shop.json"])],
  ["catalogue.csv: This file is missing. Import the whole folder.", openFolder({}, ["catalogue.csv"])],
  [
    "shop.json: This file is not UTF-8 text. Save it as UTF-8.",
    openFolder({ "shop.json": new Uint8Array([0x7b, 0xe9]) }),
  ],
  ["panels/a b.json: Its name can have letters, digits, - and _ only.", openFolder({ "panels/a b.json": "{}" })],
  ["panels: The folder has more than 500 files. Split the shop.", openFolder(many(501, (at) => `panels/p${at}.json`))],
  [
    "panels/lost.json: shop.json names this file, but it is missing.",
    openFolder({ "shop.json": manifest.replace('"panels":[]', '"panels":["lost"]') }),
  ],
  [
    "panels/A.json: A different file has the same name except for capital letters.",
    openFolder({ "panels/a.json": "{}", "panels/A.json": "{}" }),
  ],
  [
    "pictures/sage.png: A picture’s name must be the SHA-256 of its content, followed by .svg, .png, .jpg or .webp.",
    openFolder({ "pictures/sage.png": "" }),
  ],
  [
    "pictures: The folder has more than 5,000 pictures. Remove those that no value uses.",
    openFolder(many(5001, (at) => `pictures/${hash(at)}.png`)),
  ],
  [
    "pictures/…: This picture has more than 1 MB. Make it smaller.",
    openFolder({ [`pictures/${hash(1)}.png`]: new Uint8Array(limits.picture.max + 1) }),
  ],
  [".: The folder has more than 20,000 files. Split the shop.", openFolder(many(20_001, (at) => `f${at}`))],
  [
    ".: The folder has more than 1,024 MB. Split the shop.",
    // Only its length is looked at.
    openFolder({ big: { length: limits.folderBytes.max + 1 } as Uint8Array }),
  ],
  [".: This is not a valid ZIP file. Zip the folder again.", () => unzipFolder(bytesOf("not a zip"))],
  [
    "../shop.json: This path leads out of the folder.",
    () => unzipFolder(zipSync({ "../shop.json": bytesOf(manifest) })),
  ],
  [
    "shop.json: This file is damaged: its checksum is wrong. Zip the folder again.",
    () => {
      const zip = zipSync({ "shop.json": bytesOf("{}") }, { level: 0 });
      zip[30 + "shop.json".length] = (zip[30 + "shop.json".length] ?? 0) ^ 1;
      return unzipFolder(zip);
    },
  ],
  [
    "shop.json: The ZIP contains this file twice.",
    () => {
      const zip = zipSync({ "shop.json": bytesOf("{}"), "shop.jso2": bytesOf("{}") });
      return unzipFolder(
        Uint8Array.from(Buffer.from(Buffer.from(zip).toString("latin1").replaceAll("jso2", "json"), "latin1")),
      );
    },
  ],
  [
    ".: This ZIP is unsafe: … would unpack to more than …. Choose a different file.",
    () => unzipFolder(zipSync({ "catalogue.csv": new Uint8Array(40_000_000) })),
  ],
  [
    "The ZIP has more than 1 files, or more than 1.0 MB. Split the shop.",
    () => unzip(zipSync({ a: bytesOf("a"), b: bytesOf("b") }), () => true, { maxFiles: 1, maxBytes: 1_000_000 }),
  ],
]);

/** The cases of the import: tables, packed catalogues, folders and ZIPs of them. */
export const importCases: readonly ErrorCase[] = [...tables, ...packages, ...folders];

import { isDerived } from "../../catalogue/field.ts";
import { writeCsv } from "../../catalogue/write-csv.ts";
import { documentsOfKind, eachDocument } from "../documents.ts";
import { folderFormat, type Manifest, orderLists } from "./manifest-schema.ts";
import { folderSchema, schemaNames } from "./schemas.ts";
import { fileOf, type ShopFiles } from "./shop-files.ts";
import { stableJson } from "./stable-json.ts";
import type { WholeShop } from "./whole-shop.ts";

const encoder = new TextEncoder();

let known: { names: string; files: readonly (readonly [path: string, text: string])[] } | undefined;
/** The schemas as files, cached, since creating them takes a tenth of a second. */
export function schemaFiles(): readonly (readonly [path: string, text: string])[] {
  const names = schemaNames();
  if (known?.names !== names.join()) {
    const files = names.map(
      (name) => [`schemas/${name}.json`, `${JSON.stringify(folderSchema(name), null, 1)}\n`] as const,
    );
    known = { names: names.join(), files };
  }
  return known.files;
}

/** A whole shop as files, which {@link readFolder} reads back unchanged. */
export const writeFolder = (whole: WholeShop): ShopFiles =>
  new Map([...writeDocuments(whole), ["catalogue.csv", encoder.encode(writeCsv(whole.catalogue))]]);

/** The files of a whole shop without its catalogue, for which the fields suffice. */
export function writeDocuments(
  whole: Omit<WholeShop, "catalogue"> & { catalogue: Pick<WholeShop["catalogue"], "fields"> },
): ShopFiles {
  const files = new Map<string, Uint8Array>();
  const put = (path: string, text: string) => files.set(path, encoder.encode(text));
  const document = (path: string, schema: string, value: object) =>
    put(path, stableJson({ $schema: `${"../".repeat(path.split("/").length - 1)}schemas/${schema}.json`, ...value }));
  const manifest: Manifest = {
    format: folderFormat,
    name: whole.name,
    currency: whole.currency,
    settings: whole.shop,
    columns: whole.catalogue.fields.filter((field) => !isDerived(field)),
    reading: [...whole.reading],
    ...orderLists((kind) => documentsOfKind(whole, kind).flatMap(({ slug }) => slug ?? [])),
  };
  document("shop.json", "shop", manifest);
  for (const { kind, slug, document: one } of eachDocument(whole))
    if (!kind.inManifest) document(fileOf(kind, slug), kind.name, one);
  for (const [path, text] of schemaFiles()) put(path, text);
  for (const [name, bytes] of whole.pictures) files.set(`pictures/${name}`, bytes);
  return files;
}

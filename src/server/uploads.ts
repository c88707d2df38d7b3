import { fileHash } from "../core/api/shop.ts";
import { BinaryError, decodeCatalogue, looksBinary } from "../core/catalogue/binary.ts";
import type { Catalogue } from "../core/catalogue/catalogue.ts";
import type { Field } from "../core/catalogue/field.ts";
import { fieldSchema } from "../core/catalogue/field-schema.ts";
import { readCatalogue } from "../core/catalogue/read.ts";
import { type RememberedReading, rememberedReadings } from "../core/catalogue/reading-schema.ts";
import { listOf } from "../core/document/schema.ts";
import { CatalogueIndex } from "../core/engine/index/catalogue-index.ts";
import type { PanelDocument } from "../core/panel/panel-schema.ts";
import { firstPanel } from "../core/panel/suggest/first-panel.ts";
import { readFolder } from "../core/shop/archive/read-folder.ts";
import { FolderFault } from "../core/shop/archive/shop-files.ts";
import type { WholeShop } from "../core/shop/archive/whole-shop.ts";
import { unzipFolder } from "../core/shop/archive/zip.ts";
import { hashOf } from "./hash.ts";
import { HttpError } from "./http-error.ts";
import { formOf, parsedBody, type Sent } from "./routes/request.ts";
import { type KeptPicture, pictureOf } from "./store/picture-of.ts";
import { type Import, importOf } from "./store/shops.ts";
import { picturesOf } from "./store/whole-shops.ts";

/** An uploaded catalogue, ready to store. */
export interface UploadedCatalogue {
  /** The other fields of the form, as sent. */
  name: unknown;
  currency: unknown;
  language: unknown;
  catalogue: Import;
  /** The first panel of a new shop; absent if the catalogue is for an existing shop. */
  first: PanelDocument | undefined;
}

/** An uploaded shop, ready to store. */
export interface UploadedShop {
  whole: Omit<WholeShop, "catalogue" | "pictures">;
  catalogue: Import;
  pictures: KeptPicture[];
}

/** Reads uploads, in this thread or in a worker. */
export interface Readers {
  catalogue(sent: Sent, known?: readonly Field[]): Promise<UploadedCatalogue>;
  shop(sent: Sent): Promise<UploadedShop>;
  picture(sent: Sent): Promise<KeptPicture>;
}

/** The schema of the fields of a binary catalogue. */
const catalogueFields = listOf(fieldSchema, 2000);

/** The first panel of a shop created from a catalogue. */
export const beginning = (catalogue: Catalogue): PanelDocument =>
  firstPanel(new CatalogueIndex(catalogue), "First panel");

/**
 * The catalogue in a form: a file of any supported format, or one that the tool has already read and encoded.
 * @param known fields of the shop whose catalogue it replaces; absent for a new shop
 * @throws HttpError, CatalogueError
 */
async function readBroughtCatalogue(sent: Sent, known?: readonly Field[]): Promise<UploadedCatalogue> {
  const form = await formOf(requestOf(sent));
  const { file, name, currency, language } = form;
  if (!(file instanceof File)) throw new HttpError(400, "No file was sent. Choose a catalogue file.");
  const bytes = new Uint8Array(await file.arrayBuffer());
  const packed = looksBinary(bytes);
  const reading = readingIn(form.reading);
  const hash = packed ? parsedBody(fileHash, form.hash) : hashOf(bytes);
  const how = { ...(reading ? { reading } : {}), fileName: file.name.slice(0, 200), ...(hash ? { hash } : {}) };
  const catalogue = packed ? unpacked(bytes) : readCatalogue(bytes, { ...how, known: known ?? [] }).catalogue;
  const brought = packed ? importOf(catalogue, bytes) : importOf(catalogue);
  const first = known ? undefined : beginning(catalogue);
  return { name, currency, language, catalogue: { ...brought, ...how }, first };
}

/** The whole shop in a form: its folder as a zip. @throws HttpError, CatalogueError, InvalidDocument */
async function readBroughtShop(sent: Sent): Promise<UploadedShop> {
  const { file } = await formOf(requestOf(sent));
  if (!(file instanceof File)) throw new HttpError(400, "No file was sent. Choose a shop’s folder as a ZIP.");
  try {
    const { catalogue, pictures, ...whole } = readFolder(unzipFolder(new Uint8Array(await file.arrayBuffer())));
    return { whole, catalogue: importOf(catalogue), pictures: picturesOf({ pictures }) };
  } catch (error) {
    if (error instanceof FolderFault) throw new HttpError(422, error.message);
    throw error;
  }
}

/** The picture in a form, sanitized. @throws HttpError */
async function readPicture(sent: Sent): Promise<KeptPicture> {
  const { file } = await formOf(requestOf(sent));
  if (!(file instanceof File)) throw new HttpError(400, "No picture was sent. Choose one.");
  return pictureOf(new Uint8Array(await file.arrayBuffer()));
}

/** Reads it here. */
export const readers: Readers = { catalogue: readBroughtCatalogue, shop: readBroughtShop, picture: readPicture };

const requestOf = ({ body, type }: Sent): Request =>
  new Request("http://localhost/", { method: "POST", body, headers: { "content-type": type } });

/** @throws HttpError if the bytes are not what they claim to be */
function unpacked(bytes: Uint8Array): Catalogue {
  try {
    const catalogue = decodeCatalogue(bytes);
    parsedBody(catalogueFields, catalogue.fields);
    if (new Set(catalogue.productIds).size < catalogue.productIds.length)
      throw new BinaryError("Two products of the catalogue have the same id. Send the catalogue again.");
    return catalogue;
  } catch (error) {
    if (error instanceof BinaryError) throw new HttpError(422, error.message);
    throw error;
  }
}

function readingIn(text: unknown): RememberedReading[] | undefined {
  if (text === undefined || text === "") return undefined;
  try {
    return rememberedReadings.validateSync(JSON.parse(String(text)));
  } catch {
    throw new HttpError(400, "The list of columns is missing or damaged. Reload the page and import the file again.");
  }
}

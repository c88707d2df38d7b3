import { EntitySchema, type Ref } from "@mikro-orm/core";
import type { NotePlace } from "../../core/api/preview.ts";
import type { VisitReport } from "../../core/api/visit-report.ts";
import type { Field } from "../../core/catalogue/field.ts";
import type { RememberedReading } from "../../core/catalogue/reading-schema.ts";
import type { Patch } from "../../core/document/patch.ts";

/** A shop: a catalogue with a name and a currency. Everything else is a document. */
export interface Shop {
  id: number;
  /** Its place in addresses. */
  slug: string;
  name: string;
  /** ISO 4217 code of its prices. */
  currency: string;
  /** The imported catalogue's fields, without computed ones. */
  fields: Field[];
  productCount: number;
  variantCount: number;
  createdAt: Date;
  reading: RememberedReading[];
  /** SHA-256 of the imported file, in hex. */
  hash?: string | null;
  /** Time of removal; it can be restored for a while. */
  removedAt?: Date | null;
  /** Days for which lines about visits are kept; 0 takes none. */
  visitDays: number;
}

/** Lines about visits, as they were received at once. */
export interface VisitBatch {
  id: number;
  shop: Ref<Shop>;
  at: Date;
  count: number;
  /** In bytes. */
  size: number;
  lines: string;
}

/** The report of an imported file of visits. */
export interface VisitFile {
  id: number;
  shop: Ref<Shop>;
  name: string;
  at: Date;
  /** Made by trial shoppers, for the demo. */
  madeUp: boolean;
  report: VisitReport;
}

/** A part of a shop's imported catalogue in binary form. A newer file replaces all parts at once. */
export interface CataloguePart {
  id: number;
  shop: Ref<Shop>;
  position: number;
  bytes: Uint8Array;
}

/** A shop's catalogue, corrections and swatch book before an import; kept for a while. */
export interface PastCatalogue {
  id: number;
  shop: Ref<Shop>;
  replacedAt: Date;
  /** The catalogue after it. */
  words: string;
  /** Number of products in its successor. */
  nextCount: number;
  fields: Field[];
  productCount: number;
  variantCount: number;
  reading: RememberedReading[];
  hash?: string | null;
  mends: object;
  swatches: object;
}

/** A part of a past catalogue in binary form. */
export interface PastPart {
  id: number;
  past: Ref<PastCatalogue>;
  position: number;
  bytes: Uint8Array;
}

/** A stored document of any kind. */
export interface Document {
  id: number;
  shop: Ref<Shop>;
  /** Name of its kind. */
  kind: string;
  /** Its slug, unique in its kind; the kind's name if there is only one. */
  slug: string;
  /** Its name; empty if there is only one of its kind. */
  name: string;
  position: number;
  /** How often it was saved. */
  version: number;
  body: object;
  /** Number of the last step that is not undone. */
  done: number;
  updatedAt: Date;
  /** Time of removal; it can be restored for a while. */
  removedAt?: Date | null;
}

/** One step of a document's history. */
export interface StoredStep {
  id: number;
  document: Ref<Document>;
  n: number;
  at: number;
  words: string;
  patches: Patch[];
  inverse: Patch[];
}

/** A picture of the swatch book, named by its content. */
export interface Picture {
  id: number;
  shop: Ref<Shop>;
  name: string;
  /** Media type. */
  type: string;
  bytes: Uint8Array;
}

/** An unchangeable copy of everything in a shop's pages. */
export interface Snapshot {
  id: number;
  shop: Ref<Shop>;
  createdAt: Date;
  /** By path in the copy, the hash of the content. */
  files: Record<string, string>;
  variantCount: number;
  name: string;
  currency: string;
}

/** A published copy. */
export interface Edition extends Snapshot {
  /** From 1, in order of publication. */
  n: number;
  note: string;
}

/** A copy of the draft that is shared for review. */
export interface Preview extends Snapshot {
  /** Its secret place in addresses: whoever knows it sees the copy. */
  key: string;
  endedAt?: Date | null;
}

/** A note pinned to a preview. */
export interface PreviewNoteRow {
  id: number;
  preview: Ref<Preview>;
  name: string;
  text: string;
  place: NotePlace;
  createdAt: Date;
  answer: string;
  doneAt?: Date | null;
}

/** The content of a snapshot's file, stored once for all snapshots. */
export interface Content {
  /** SHA-256, in hex. */
  hash: string;
  bytes: Uint8Array;
}

/** Hides removed documents unless requested. */
const there = { name: "there", cond: { removedAt: null }, default: true };

export const ShopSchema: EntitySchema<Shop> = new EntitySchema<Shop>({
  name: "Shop",
  tableName: "shop",
  properties: {
    id: { type: "integer", primary: true, autoincrement: true },
    slug: { type: "string", unique: true },
    name: { type: "string" },
    currency: { type: "string" },
    fields: { type: "json" },
    productCount: { type: "integer" },
    variantCount: { type: "integer" },
    createdAt: { type: "datetime" },
    reading: { type: "json" },
    hash: { type: "string", nullable: true },
    removedAt: { type: "datetime", nullable: true },
    visitDays: { type: "integer" },
  },
  filters: { there },
});

const ofShop = { kind: "m:1", entity: () => ShopSchema, ref: true, deleteRule: "cascade" } as const;

export const CataloguePartSchema: EntitySchema<CataloguePart> = new EntitySchema<CataloguePart>({
  name: "CataloguePart",
  tableName: "catalogue_part",
  uniques: [{ properties: ["shop", "position"] }],
  properties: {
    id: { type: "integer", primary: true, autoincrement: true },
    shop: ofShop,
    position: { type: "integer" },
    bytes: { type: "blob" },
  },
});

export const PastCatalogueSchema: EntitySchema<PastCatalogue> = new EntitySchema<PastCatalogue>({
  name: "PastCatalogue",
  tableName: "past_catalogue",
  properties: {
    id: { type: "integer", primary: true, autoincrement: true },
    shop: ofShop,
    replacedAt: { type: "datetime" },
    words: { type: "string" },
    nextCount: { type: "integer" },
    fields: { type: "json" },
    productCount: { type: "integer" },
    variantCount: { type: "integer" },
    reading: { type: "json" },
    hash: { type: "string", nullable: true },
    mends: { type: "json" },
    swatches: { type: "json" },
  },
});

export const PastPartSchema: EntitySchema<PastPart> = new EntitySchema<PastPart>({
  name: "PastPart",
  tableName: "past_part",
  properties: {
    id: { type: "integer", primary: true, autoincrement: true },
    past: { kind: "m:1", entity: () => PastCatalogueSchema, ref: true, deleteRule: "cascade" },
    position: { type: "integer" },
    bytes: { type: "blob" },
  },
});

export const DocumentSchema: EntitySchema<Document> = new EntitySchema<Document>({
  name: "Document",
  tableName: "document",
  uniques: [{ properties: ["shop", "kind", "slug"] }],
  properties: {
    id: { type: "integer", primary: true, autoincrement: true },
    shop: ofShop,
    kind: { type: "string" },
    slug: { type: "string" },
    name: { type: "string" },
    position: { type: "integer" },
    version: { type: "integer" },
    body: { type: "json" },
    done: { type: "integer" },
    updatedAt: { type: "datetime" },
    removedAt: { type: "datetime", nullable: true },
  },
  filters: { there },
});

export const StepSchema: EntitySchema<StoredStep> = new EntitySchema<StoredStep>({
  name: "StoredStep",
  tableName: "step",
  uniques: [{ properties: ["document", "n"] }],
  properties: {
    id: { type: "integer", primary: true, autoincrement: true },
    document: { kind: "m:1", entity: () => DocumentSchema, ref: true, deleteRule: "cascade" },
    n: { type: "integer" },
    at: { type: "bigint", runtimeType: "number" },
    words: { type: "string" },
    patches: { type: "json" },
    inverse: { type: "json" },
  },
});

export const PictureSchema: EntitySchema<Picture> = new EntitySchema<Picture>({
  name: "Picture",
  tableName: "picture",
  uniques: [{ properties: ["shop", "name"] }],
  properties: {
    id: { type: "integer", primary: true, autoincrement: true },
    shop: ofShop,
    name: { type: "string" },
    type: { type: "string" },
    bytes: { type: "blob" },
  },
});

const ofSnapshot = {
  id: { type: "integer", primary: true, autoincrement: true },
  shop: ofShop,
  createdAt: { type: "datetime" },
  files: { type: "json" },
  variantCount: { type: "integer" },
  name: { type: "string" },
  currency: { type: "string" },
} as const;

export const EditionSchema: EntitySchema<Edition> = new EntitySchema<Edition>({
  name: "Edition",
  tableName: "edition",
  uniques: [{ properties: ["shop", "n"] }],
  properties: { ...ofSnapshot, n: { type: "integer" }, note: { type: "string" } },
});

export const PreviewSchema: EntitySchema<Preview> = new EntitySchema<Preview>({
  name: "Preview",
  tableName: "preview",
  properties: {
    ...ofSnapshot,
    key: { type: "string", unique: true },
    endedAt: { type: "datetime", nullable: true },
  },
});

export const PreviewNoteSchema: EntitySchema<PreviewNoteRow> = new EntitySchema<PreviewNoteRow>({
  name: "PreviewNote",
  tableName: "preview_note",
  properties: {
    id: { type: "integer", primary: true, autoincrement: true },
    preview: { kind: "m:1", entity: () => PreviewSchema, ref: true, deleteRule: "cascade" },
    name: { type: "string" },
    text: { type: "text" },
    place: { type: "json" },
    createdAt: { type: "datetime" },
    answer: { type: "text" },
    doneAt: { type: "datetime", nullable: true },
  },
});

export const ContentSchema: EntitySchema<Content> = new EntitySchema<Content>({
  name: "Content",
  tableName: "content",
  properties: {
    hash: { type: "string", primary: true },
    bytes: { type: "blob" },
  },
});

export const VisitBatchSchema: EntitySchema<VisitBatch> = new EntitySchema<VisitBatch>({
  name: "VisitBatch",
  tableName: "visit_batch",
  properties: {
    id: { type: "integer", primary: true, autoincrement: true },
    shop: ofShop,
    at: { type: "datetime" },
    count: { type: "integer" },
    size: { type: "integer" },
    lines: { type: "text" },
  },
});

export const VisitFileSchema: EntitySchema<VisitFile> = new EntitySchema<VisitFile>({
  name: "VisitFile",
  tableName: "visit_file",
  uniques: [{ properties: ["shop"] }],
  properties: {
    id: { type: "integer", primary: true, autoincrement: true },
    shop: ofShop,
    name: { type: "string" },
    at: { type: "datetime" },
    madeUp: { type: "boolean" },
    report: { type: "json" },
  },
});

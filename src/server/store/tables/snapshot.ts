import { EntitySchema, type Ref } from "@mikro-orm/core";
import type { PanelHeights } from "../../../core/api/panel-heights.ts";
import type { NotePlace } from "../../../core/api/preview.ts";
import { ofShop, type Shop } from "./shop.ts";

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
  /** Heights of its panels, once a browser has measured them. */
  heights?: PanelHeights["heights"] | null;
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
  properties: {
    ...ofSnapshot,
    n: { type: "integer" },
    note: { type: "string" },
    heights: { type: "json", nullable: true },
  },
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

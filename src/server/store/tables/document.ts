import { EntitySchema, type Ref } from "@mikro-orm/core";
import type { Patch } from "../../../core/document/patch.ts";
import { ofShop, type Shop, there } from "./shop.ts";

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

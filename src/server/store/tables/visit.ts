import { EntitySchema, type Ref } from "@mikro-orm/core";
import type { VisitReport } from "../../../core/api/visit-report.ts";
import { ofShop, type Shop } from "./shop.ts";

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

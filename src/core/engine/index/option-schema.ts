import type { InferType } from "yup";
import { fieldLevels } from "../../catalogue/field-names.ts";
import { exact, listOf, someText, text } from "../../document/schema.ts";

/** Whether a facet's records are whole products or single variants. */
export const levels = fieldLevels;
export type Level = (typeof levels)[number];

/** One answer within a facet. */
export const optionSchema = exact({
  /** The value's identity; for a tree the identities of all levels, joined by ` > `. */
  id: someText(10_000),
  /** The most frequent spelling, the first in the catalogue on a tie. */
  label: text(10_000),
});
export type Option = InferType<typeof optionSchema>;

/** Several values, by identity, shown to shoppers as one option, whose identity is that of its label. */
export const mergeSchema = exact({ label: text(500), values: listOf(text(10_000), 2000) });
export type Merge = InferType<typeof mergeSchema>;

import { type InferType, mixed, number, string } from "yup";
import { exact, listOf, oneOf, wholeIn } from "./schema.ts";

const key = mixed<string | number>(
  (value): value is string | number => typeof value === "string" || typeof value === "number",
).required();

/**
 * One operation on a place in a document, as mutative applies it. In lists, `add` and `remove` shift the entries after
 * it.
 */
export const patchSchema = exact({
  op: oneOf(["add", "remove", "replace"]),
  path: listOf(key, 50),
  value: mixed().nullable().optional(),
});
export type Patch = InferType<typeof patchSchema>;

/**
 * One step of a document's history: its increasing number, when it was made, its description, and the patches in both
 * directions.
 */
export const stepSchema = exact({
  n: number().strict().integer().min(1).required(),
  /**
   * In ms since 1970; later steps of one shop have later times, whatever their document. 0 for steps from before times
   * were recorded.
   */
  at: wholeIn(0, 2 ** 52).default(0),
  words: string().strict().max(2000).defined(),
  patches: listOf(patchSchema, 20_000),
  inverse: listOf(patchSchema, 20_000),
});
export type Step = InferType<typeof stepSchema>;

/** Number of steps kept with a document. */
export const maxSteps = 200;

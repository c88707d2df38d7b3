import type { InferType } from "yup";
import { exact, numberIn } from "../../document/schema.ts";
import { largest } from "./bounds.ts";

const end = () => numberIn(-largest, largest);

/**
 * A stretch of a number line; an end that is left out is open. `min` and `max` are in it, `below` is not: so ranges
 * that stand side by side part the numbers between them, and none is in two.
 */
export const rangeSchema = exact({ min: end(), max: end(), below: end() });
export type Range = InferType<typeof rangeSchema>;

import type { InferType } from "yup";
import { exact, numberIn } from "../../document/schema.ts";
import { largest } from "./bounds.ts";

const end = () => numberIn(-largest, largest);

/**
 * A section of a number line; a missing end is open. `min` and `max` are inclusive and `below` is exclusive, so that
 * adjacent ranges share no number.
 */
export const rangeSchema = exact({ min: end(), max: end(), below: end() });
export type Range = InferType<typeof rangeSchema>;

import type { InferType } from "yup";
import { exact, numberIn } from "../document/schema.ts";
import { largest } from "./bounds.ts";

/** A stretch of a number line, both ends included; an end that is left out is open. */
export const rangeSchema = exact({ min: numberIn(-largest, largest), max: numberIn(-largest, largest) });
export type Range = InferType<typeof rangeSchema>;

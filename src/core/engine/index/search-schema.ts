import type { InferType } from "yup";
import { exact, listOf, someText, wholeIn } from "../../document/schema.ts";

/** A field included in searches, with the weight of its words; 0 excludes it. */
export const searchedField = exact({ field: someText(500), weight: wholeIn(0, 20).required() });

/** The fields that a search covers; unnamed ones have their default weight. */
export const searching = listOf(searchedField, 500);

export type SearchedField = InferType<typeof searchedField>;

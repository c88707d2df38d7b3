import type { InferType } from "yup";
import { exact, listOf, someText, wholeIn } from "../../document/schema.ts";

/** A field that is searched, and how much its words weigh; 0 for not at all. */
export const searchedField = exact({ field: someText(500), weight: wholeIn(0, 20).required() });

/** The fields that a search goes over; those that are not named weigh what is usual. */
export const searching = listOf(searchedField, 500);

export type SearchedField = InferType<typeof searchedField>;

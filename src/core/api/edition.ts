import { type InferType, string } from "yup";
import { largest } from "../catalogue/numbers/bounds.ts";
import { exact, wholeIn } from "../document/schema.ts";

/** Maximum length of an edition's note, in characters. */
export const maxNoteLength = 500;

/** The body of a request to publish a shop. */
export const publishing = exact({ note: string().strict().max(maxNoteLength).defined() });

/** An edition, as lists show it. */
export const editionSummary = exact({
  n: wholeIn(1, largest).required(),
  note: string().strict().max(maxNoteLength).defined(),
  /** ISO 8601. */
  createdAt: string().strict().required(),
});

export type EditionSummary = InferType<typeof editionSummary>;

import { boolean, type InferType, string } from "yup";
import { largest } from "../catalogue/numbers/bounds.ts";
import { exact, listOf, numberIn, text, wholeIn } from "../document/schema.ts";
import { maxAuthor, maxNoteText } from "./note-limits.ts";

const address = string().strict().max(2000);
const id = string().strict().max(500);
/** A share of the page’s width or height. */
const share = numberIn(0, 1);

/** The place of a note: an option, facet or product if it names one, else a point of the page. */
export const notePlace = exact({
  /** Address of the page within the shop, like `/collections/climbers`. */
  page: address.required(),
  /** Its name when the note was written, for when it is gone. */
  words: text(500),
  /** Slug of the panel and id of its row. */
  panel: id.optional(),
  row: id.optional(),
  /** Id of the option in the row. */
  option: id.optional(),
  /** Address of the product within the shop. */
  product: address.optional(),
  /** Where it was clicked, as shares of the page’s width and height. */
  x: share.required(),
  y: share.required(),
});
export type NotePlace = InferType<typeof notePlace>;

/** The body of a request that pins a note. */
export const sentNote = exact({
  name: string().strict().trim().max(maxAuthor).required("Enter your name."),
  text: string().strict().trim().max(maxNoteText).required("Enter a note."),
  place: notePlace.required(),
});
export type SentNote = InferType<typeof sentNote>;

/** A note on a preview. */
export const previewNote = exact({
  id: wholeIn(1, largest).required(),
  /** Key of the preview. */
  preview: id.required(),
  name: string().strict().required(),
  text: string().strict().required(),
  place: notePlace.required(),
  /** ISO 8601. */
  createdAt: string().strict().required(),
  answer: text(maxNoteText),
  /** ISO 8601; absent while it is open. */
  doneAt: string().strict().optional(),
});
export type PreviewNote = InferType<typeof previewNote>;

/** The body of a request that answers a note, or marks it as done or open. */
export const noteChange = exact({
  answer: string().strict().trim().max(maxNoteText).optional(),
  done: boolean().strict().optional(),
});
export type NoteChange = InferType<typeof noteChange>;

/** A preview, as lists show it. */
export const previewSummary = exact({
  key: id.required(),
  /** Path of its first page. */
  address: address.required(),
  /** ISO 8601. */
  createdAt: string().strict().required(),
  endedAt: string().strict().optional(),
});
export type PreviewSummary = InferType<typeof previewSummary>;

/** The body of a request that ends a preview, or opens it again. */
export const previewChange = exact({ ended: boolean().strict().required() });

/** A shop’s previews and all their notes, newest first. */
export const sharedPreviews = exact({
  previews: listOf(previewSummary, largest),
  notes: listOf(previewNote, largest),
});
export type SharedPreviews = InferType<typeof sharedPreviews>;

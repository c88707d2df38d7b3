import { type InferType, mixed, number, string } from "yup";
import { fieldSchema } from "../catalogue/field-schema.ts";
import { largest } from "../catalogue/numbers/bounds.ts";
import { rememberedReadings } from "../catalogue/reading-schema.ts";
import { type Step, stepSchema } from "../document/patch.ts";
import { exact, listOf, someText, text, wholeIn } from "../document/schema.ts";

/** The requests and responses of the server's routes, defined once for both sides. */

const whole = () => wholeIn(0, largest).required();

/** SHA-256 of a file's bytes, in hex. */
export const fileHash = string()
  .strict()
  .matches(/^[0-9a-f]{64}$/)
  .optional();

/** An import that replaced another catalogue and can be reverted. */
export const pastImport = exact({
  id: whole(),
  /** ISO 8601. */
  at: someText(40),
  /** The imported file. */
  words: text(300),
  /** Products before and after. */
  before: whole(),
  after: whole(),
});
export type PastImport = InferType<typeof pastImport>;

/** One of the shop's panels or looks, as lists show it. */
export const panelSummary = exact({ slug: someText(500), name: text(500), version: whole() });

/** A shop, as lists and views show it. */
export const shopSummary = exact({
  slug: someText(500),
  name: text(500),
  /** ISO 4217 code that prices are written in. */
  currency: someText(3),
  products: whole(),
  variants: whole(),
  /** Fields of the imported catalogue, without computed ones. */
  fields: listOf(fieldSchema, 10_000),
  /** How the columns of its last file were read. */
  reading: rememberedReadings,
  /** SHA-256 of the imported file, in hex; absent if unknown. */
  hash: fileHash,
  panels: listOf(panelSummary, 10_000),
  looks: listOf(panelSummary, 10_000),
});

/** The name of a new shop. */
export const shopName = string()
  .strict()
  .trim()
  .min(1, "Enter a name for the shop.")
  .max(100, "The name has more than 100 characters. Shorten it.")
  .required("Enter a name for the shop.");

/** The currency of a new shop, as ISO 4217 has it. */
export const shopCurrency = string()
  .matches(/^[A-Z]{3}$/, "The currency is not a code like EUR or USD.")
  .test(
    "known",
    "The currency is not a code like EUR or USD.",
    (code) => code !== undefined && Intl.supportedValuesOf("currency").includes(code),
  )
  .required();

/** A new name or currency for a shop. */
export const shopChange = exact({ name: shopName.notRequired(), currency: shopCurrency.notRequired() });

/** A removed shop or document that can be restored. */
export const removed = exact({ slug: someText(500), name: text(500), removedAt: someText(40) });
export type Removed = InferType<typeof removed>;

/** All of a shop's documents of a kind, by their slugs, in a new order. */
export const ordering = exact({ slugs: listOf(someText(500), 10_000) });

/**
 * Steps since the last save: those from `from` on replace the stored ones from there; `done` is the last step that is
 * not undone.
 */
export const sentHistory = exact({
  from: wholeIn(1, largest).required(),
  steps: listOf(stepSchema, 1000),
  done: whole(),
});

/** A document to be saved over the version known to the sender. */
export const saving = exact({
  version: number().strict().integer().min(0).required(),
  document: mixed().required(),
  history: sentHistory.optional().default(undefined),
});

/** A new document of a kind that a shop has several of: an empty one with a name, or a complete one. */
export const newDocument = exact({
  name: string().strict().trim().min(1, "Enter a name.").max(100),
  document: mixed(),
}).test(
  "either",
  "Send a name, or a document.",
  ({ name, document }) => (name === undefined) !== (document === undefined),
);

export type PanelSummary = InferType<typeof panelSummary>;
export type ShopSummary = InferType<typeof shopSummary>;
export type Saving = InferType<typeof saving>;
export type SentHistory = InferType<typeof sentHistory>;

/** A document as stored on the server, the number of times it was saved, and its last steps. */
export interface Stored<D> {
  version: number;
  document: D;
  history: { steps: Step[]; done: number };
}

import { type InferType, number, string } from "yup";
import { exact, listOf, record, someText, text, wholeIn } from "../document/schema.ts";

/** Version of the format of a shop's own settings that this code writes. */
export const shopFormat = 1;

/** Limits of the band limits, in CSS px. */
export const minLimit = 200;
/** The upper of these ends. */
export const maxLimit = 4000;

/** A BCP 47 tag that `Intl` knows how to read. */
export const languageTag = () =>
  string()
    .strict()
    .test(
      "language",
      ({ path }) => `${path} is not a language tag like “de” or “pt-BR”`,
      (tag) => tag === undefined || isLanguage(tag),
    );

const language = () => languageTag().required();

/** Whether a text is a BCP 47 tag that `Intl` knows how to read. */
export function isLanguage(tag: string): boolean {
  try {
    return Intl.getCanonicalLocales(tag).length === 1;
  } catch {
    return false;
  }
}

/** The settings of the site that receives the panels. */
const site = exact({
  /** Place of the handoff's files, as the site's pages refer to it; ends with a slash. */
  at: someText(500),
  /**
   * Address of products: `{id}` and `{variant}` are replaced by a product's id and the number of its matching variant,
   * from 1.
   */
  link: someText(500),
  /** The address to which panels send choices instead of filtering their own page; empty for none. */
  action: text(500),
  /** The names of fields in the site's queries by key, and of `q`, `sort` and `page`, where they differ. */
  names: record(someText(100)),
});

/** The settings of a whole shop. */
export const shopSchema = exact({
  format: number<typeof shopFormat>().strict().oneOf([shopFormat]).required(),
  /** Minimum page widths of the medium and the wide band, in CSS px; below medium is slim. */
  limits: exact({
    medium: wholeIn(minLimit, maxLimit).required(),
    wide: wholeIn(minLimit, maxLimit).required(),
  }).test(
    "limits",
    ({ path }) => `${path}.wide must be greater than ${path}.medium`,
    ({ medium, wide }) => wide > medium,
  ),
  /** The shop's own language, in which labels are written; absent for English. */
  language: language().optional(),
  /** Languages of labels besides the shop's own. */
  languages: listOf(language(), 20),
  /** The look of the shop's pages, and of panels without their own; absent for the default one. */
  look: someText(200).optional(),
  /** Absent if all defaults apply. */
  site: site.optional().default(undefined),
});

/** See {@link shopSchema}. */
export type Site = InferType<typeof site>;

export type ShopDocument = InferType<typeof shopSchema>;

import { type InferType, number, string } from "yup";
import { exact, listOf, someText, wholeIn } from "../document/schema.ts";

/** Version of the format of a shop's own settings that this code writes. */
export const shopFormat = 1;

/** Ends that band limits lie between, in CSS px. */
export const leastLimit = 200;
/** The upper of these ends. */
export const mostLimit = 4000;

/** A BCP 47 tag that `Intl` knows how to read. */
const language = () =>
  string()
    .strict()
    .test(
      "language",
      ({ path }) => `${path} is no language tag like “de” or “pt-BR”`,
      (tag) => tag !== undefined && isLanguage(tag),
    )
    .required();

/** Whether a text is a BCP 47 tag that `Intl` knows how to read. */
export function isLanguage(tag: string): boolean {
  try {
    return Intl.getCanonicalLocales(tag).length === 1;
  } catch {
    return false;
  }
}

/** What holds for all panels and pages of a shop. */
export const shopSchema = exact({
  format: number<typeof shopFormat>().strict().oneOf([shopFormat]).required(),
  /** The page widths in CSS px from which the medium and the wide band hold; below medium is slim. */
  limits: exact({
    medium: wholeIn(leastLimit, mostLimit).required(),
    wide: wholeIn(leastLimit, mostLimit).required(),
  }).test(
    "limits",
    ({ path }) => `${path}.wide must be greater than ${path}.medium`,
    ({ medium, wide }) => wide > medium,
  ),
  /** Languages that labels are given in beside the shop's own. */
  languages: listOf(language(), 20),
  /** The look of the shop's pages, and of panels that have none of their own; absent where it is the usual one. */
  look: someText(200).optional(),
});

export type ShopDocument = InferType<typeof shopSchema>;

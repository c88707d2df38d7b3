import { boolean, type InferType } from "yup";
import { largest } from "../catalogue/numbers/bounds.ts";
import { exact, listOf, numberIn, oneOf, optionalRecord, someText, text, wholeIn } from "../document/schema.ts";
import { bands } from "../settings/band.ts";

const count = () => wholeIn(0, largest).required();
const px = () => numberIn(0, 1_000_000).required();
const ids = () => listOf(text(2000), 100);

/** The report of a page of a site that has checked itself. Lists of ids hold the first hundred. */
export const siteCheck = exact({
  format: wholeIn(1, 1).required(),
  /** ISO 8601. */
  at: someText(40),
  address: someText(5000),
  handoff: exact({
    format: wholeIn(1, largest).required(),
    edition: wholeIn(1, largest).optional(),
    files: optionalRecord(someText(500)),
  }),
  screen: exact({ width: px(), height: px(), band: oneOf(bands).optional() }),
  panels: listOf(
    exact({
      panel: text(500),
      group: text(500),
      page: text(2000),
      ready: boolean().strict().required(),
      products: count(),
    }),
    200,
  ),
  /** Number of our listings. */
  listings: count(),
  /** The site's own lists. What can't be known, as with a choice, is absent. */
  lists: listOf(
    exact({
      group: text(500),
      products: count(),
      twice: ids(),
      /** Products of the list that the catalogue lacks, and the other way round. */
      unknown: ids().optional().default(undefined),
      missing: ids().optional().default(undefined),
    }),
    200,
  ),
  /** Height that fixed bars cover at the top, and the shop's own, in CSS px. */
  bars: exact({ measured: px(), expected: px() }),
  /** Typefaces of panels that the browser lacks. */
  missingFonts: listOf(text(500), 100),
  /** Refusals by the page's policy. */
  violations: listOf(text(5000), 100),
  /** Layout shift since loading. */
  shift: numberIn(0, 1000).required(),
});

/** See {@link siteCheck}. */
export type SiteCheck = InferType<typeof siteCheck>;

import { array, type InferType } from "yup";
import { largest } from "../catalogue/numbers/bounds.ts";
import { exact, listOf, numberIn, oneOf, someText, text, wholeIn } from "../document/schema.ts";
import { bands } from "../settings/band.ts";

/** Why a line of visits is left out. */
export const lineFaults = [
  "not JSON",
  "another version",
  "not a visit",
  "from the future",
  "too many of one tab",
] as const;
export type LineFault = (typeof lineFaults)[number];

/** Numbers of options of a field, and of words, that a report keeps. */
export const maxListed = 50;
const maxPages = 20_000;

const count = () => wholeIn(0, largest).required();
const fraction = () => numberIn(0, 1).required();

/** A share with its 95% interval: `hits` of `of`. */
const share = exact({ of: count(), hits: count(), low: fraction(), high: fraction() });

/** How a field was used in visits. */
const fieldUse = exact({
  field: someText(500),
  /** Visits in which something was chosen in it. */
  used: share,
  /** Its options by number of visits, most first. */
  options: listOf(exact({ option: text(2000), visits: count() }), maxListed),
  /** Choices in it that were removed again. */
  removed: share,
  /** Visits in which it was unfolded, and those of them without a choice in it; absent in older reports. */
  left: share.optional().default(undefined),
});

/** The visits of a page on a band. */
const pageVisits = exact({
  page: someText(2000),
  band: oneOf(bands),
  visits: count(),
  /** Visits with a choice, with a result without products, and in which a product was opened. */
  choosing: share,
  empty: share,
  opening: share,
  /** Medians of the choices and the seconds before the first product was opened; absent if none was. */
  choicesBefore: numberIn(0, largest).optional(),
  secondsBefore: numberIn(0, largest).optional(),
  /** Median time until a result was shown, in ms; absent without any. */
  ms: numberIn(0, largest).optional(),
  fields: listOf(fieldUse, 2000),
  /** Sort orders that were chosen, most frequent first; absent in older reports. */
  sorts: listOf(exact({ sort: text(2000), visits: count() }), maxListed)
    .optional()
    .default(undefined),
  /** Search words that found nothing, most frequent first. */
  soughtInVain: listOf(exact({ words: text(2000), visits: count() }), maxListed),
});

/** The visits of one edition, over all pages and bands. */
const editionVisits = exact({
  edition: wholeIn(1, largest).required(),
  visits: count(),
  /** Visits with a choice, with a result without products, and in which a product was opened. */
  choosing: count(),
  empty: count(),
  opening: count(),
});

/** Figures from visits. */
export const visitReport = exact({
  /** Number of lines that count. */
  lines: count(),
  /** Lines that were left out, by reason, with the number of the first. */
  left: listOf(exact({ why: oneOf(lineFaults), lines: count(), first: count() }), lineFaults.length),
  editions: array(wholeIn(1, largest).required()).strict().max(10_000).required(),
  /** By edition, the newest last; absent in older reports. */
  ofEditions: listOf(editionVisits, 10_000).optional().default(undefined),
  /** Most visits first. */
  pages: listOf(pageVisits, maxPages),
});

export type VisitReport = InferType<typeof visitReport>;
export type EditionVisits = InferType<typeof editionVisits>;
export type PageVisits = InferType<typeof pageVisits>;
export type FieldUse = InferType<typeof fieldUse>;
export type Share = InferType<typeof share>;

/** Where a report comes from: the lines that the server has collected, or a file that was imported. */
export const visitSources = ["collected", "file"] as const;
export type VisitSource = (typeof visitSources)[number];

/** Days for which collected lines are kept; 0 collects none. */
export const maxVisitDays = 366;
export const visitCollecting = exact({ days: wholeIn(0, maxVisitDays).required() });

/** A report of a file, as it is saved. */
export const visitFile = exact({ name: someText(500), report: visitReport });

/** A shop's visits, as the server has them. */
export interface VisitState {
  /** See {@link visitCollecting}. */
  days: number;
  /** Path on the server to which pages send visits. */
  address: string;
  /** Lines collected, their size in bytes, and the time of the first; absent without any. */
  collected?: { lines: number; bytes: number; since: string };
  /** The imported file; `madeUp` marks the demo's. */
  file?: { name: string; at: string; madeUp: boolean };
  /** The source asked for, or the one there is; absent if there is none. */
  source?: VisitSource;
  report?: VisitReport;
}

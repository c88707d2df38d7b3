/** How a facet was used by real shoppers of a page. */
export interface VisitUse {
  /** Visits with a choice in it, and the ends of the share's 95% interval. */
  used: number;
  low: number;
  high: number;
  /** Choices in it, how many were removed again, and the lower end of that share's 95% interval. */
  chosen: number;
  removed: number;
  removedLow: number;
  /** Visits in which it was unfolded, those of them without a choice in it, and the lower end of that share's interval. */
  unfolded: number;
  left: number;
  leftLow: number;
}

/** The acts of a page's real shoppers. */
export interface PageUse {
  visits: number;
  /** They were made by trial shoppers, which everything says that is drawn from them. */
  madeUp: boolean;
  /** By field key, those that were on the page; nothing is known of others. */
  fields: ReadonlyMap<string, VisitUse>;
  /** Search words that found nothing, with the number of visits, most frequent first. */
  soughtInVain: readonly { words: string; visits: number }[];
}

/** The visits in sentences. */
export const visitsWord = ({ madeUp }: Pick<PageUse, "madeUp">): string => (madeUp ? "made-up visits" : "visits");

/** Visits of a page from which findings are drawn: fewer say little. Common practice, no source. */
export const enoughVisits = 100;

/** A facet of a panel on a page. */
export interface FacetHere {
  panel: string;
  row: string;
  field: string;
  title: string;
  /** Number of options offered on the page; undefined for a range. */
  options: number | undefined;
  /** Number of options offered elsewhere in the shop but not on the page. */
  left: number;
  /** Products of the page found by some of its options. */
  reach: number;
}

/** A facet of a panel on a page. */
export interface FacetHere {
  panel: string;
  row: string;
  field: string;
  title: string;
  /** Options that it offers on the page; undefined for a range. */
  options: number | undefined;
  /** Options that it offers somewhere in the shop and not on the page. */
  left: number;
  /** Products of the page that some option of it finds. */
  reach: number;
}

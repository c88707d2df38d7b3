import type { BrowseState } from "../../core/page/browse-state/browse-state.ts";
import type { Layout } from "../../core/page/layout.ts";
import type { Shared } from "../panel/panel-state.ts";

/** Everything a listing is drawn from: the place, and the page's layout. */
export interface ListingState extends Shared, BrowseState {
  layout: Layout;
  /** The page's order until the shopper chooses another. */
  order: string;
}

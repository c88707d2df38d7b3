import type { BrowseState } from "../../core/page/browse-state/browse-state.ts";
import type { Layout } from "../../core/page/layout.ts";
import type { Shared } from "../panel/panel-state.ts";

/** All that a listing is drawn from: where the shopper is, and how the page lists products. */
export interface ListingState extends Shared, BrowseState {
  layout: Layout;
  /** The order of the page until the shopper chooses another. */
  order: string;
}

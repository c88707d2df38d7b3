import type { Place } from "../../core/place/place.ts";
import type { PanelState } from "../panel/panel-state.ts";

/** Products on one page of a listing. */
export const pageSize = 24;

/** All that a listing is drawn from: where the shopper is, and what the panel beside it is drawn from. */
export type ListingState = PanelState & Place;

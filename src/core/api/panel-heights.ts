import { type InferType, number } from "yup";
import { exact, record } from "../document/schema.ts";

/** CSS px; a panel that is not on a band has none there. */
const px = () => number().strict().min(0).max(1_000_000).required();

/**
 * By panel and band, the height that a panel takes up in its place, in CSS px: its own where it is open, its button’s
 * where it is behind one. A browser has measured it on the first page with the panel.
 */
export const panelHeights = exact({ heights: record(exact({ wide: px(), medium: px(), slim: px() })) });

export type PanelHeights = InferType<typeof panelHeights>;

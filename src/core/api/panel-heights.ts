import type { InferType } from "yup";
import { exact, numberIn, record } from "../document/schema.ts";

/** CSS px; a panel that is not on a band has none there. */
const px = () => numberIn(0, 1_000_000).required();

/**
 * By panel and band, the height that a panel takes up in its place, in CSS px: its own where it is open, its button’s
 * where it is behind one. A browser has measured it on the first page with the panel.
 */
export const panelHeights = exact({ heights: record(exact({ wide: px(), medium: px(), slim: px() })) });

export type PanelHeights = InferType<typeof panelHeights>;

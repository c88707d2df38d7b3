/** How a number line is parted by rule: into ranges of equal width, or with about as many values in each. */
export const binnings = ["width", "products"] as const;
export type Binning = (typeof binnings)[number];

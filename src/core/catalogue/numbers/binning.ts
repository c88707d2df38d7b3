/** Ways to divide a number line by rule: ranges of equal width, or with about as many values in each. */
export const binnings = ["width", "products"] as const;
export type Binning = (typeof binnings)[number];

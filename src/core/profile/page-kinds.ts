/** The kinds of pages that list products, or have a panel in their text. */
export const pageKinds = ["shop", "collection", "category", "brand", "tag", "search", "article"] as const;

export type PageKind = (typeof pageKinds)[number];

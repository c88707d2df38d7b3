import type { PageKind } from "../../core/page/layout.ts";
import type { PageRef } from "../../core/page/page-list.ts";

/** The kinds of pages, as headings. */
export const pageKindNames: Record<PageKind, string> = {
  shop: "Whole shop",
  collection: "Collections",
  category: "Categories",
  brand: "Brands",
  tag: "Tags",
  search: "Search results",
  article: "Articles",
};

/** What a page is called in the tool. */
export const pageName = ({ kind, name }: Pick<PageRef, "kind" | "name">): string =>
  kind === "shop" ? "All products" : kind === "search" ? "Search results" : name || "No name yet";

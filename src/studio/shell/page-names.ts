import type { PageRef } from "../../core/page/page-list.ts";
import type { PageKind } from "../../core/profile/page-kinds.ts";

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

/** The name of a page in the tool. */
export const pageName = ({ kind, name }: Pick<PageRef, "kind" | "name">): string =>
  kind === "shop" ? "All products" : kind === "search" ? "Search results" : name || "No name yet";

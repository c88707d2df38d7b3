import type { PageKind } from "../profile/page-kinds.ts";
import { type PageFacts, slugsOf, valuePages } from "../profile/value-pages.ts";
import type { Collection, PagesDocument } from "./pages-schema.ts";

/** A page of the shop by its address. */
export interface PageRef {
  address: string;
  kind: PageKind;
  /** Its name; empty if the shop's own words give it. */
  name: string;
}

/** Where the page of the whole shop, and the one of search results are. */
export const shopAddress = "/";
export const searchAddress = "/search";
const productFolder = "/products";
const collectionFolder = "/collections";
const articleFolder = "/articles";

/** Where a product's page is, with a variant of it chosen. @param variant its place among the variants, from 0 */
export const productAddress = ({ id, variant }: { id: string; variant?: number | undefined }): string =>
  `${productFolder}/${encodeURIComponent(id)}${variant === undefined ? "" : `?variant=${variant + 1}`}`;

/** The id of the product whose page is at an address; undefined if it is no product's. */
export const productAt = (address: string): string | undefined =>
  address.startsWith(`${productFolder}/`) ? safely(address.slice(productFolder.length + 1)) : undefined;

function safely(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}

/** A collection as a page: one that is made for each value of a field is as many. */
export interface CollectionPage extends PageRef {
  collection: Collection;
  /** The value that it is made for. */
  value?: { id: string; label: string };
}

/** Every page of a shop: the whole shop, collections, what its catalogue's values make, search results, articles. */
export function pageList(pages: PagesDocument, facts: PageFacts): PageRef[] {
  return [
    { address: shopAddress, kind: "shop", name: "" },
    ...collectionPages(pages, facts),
    ...valuePages(facts).map(({ address, kind, label }) => ({ address, kind, name: label })),
    { address: searchAddress, kind: "search", name: "" },
    ...articlePages(pages),
  ];
}

/** Where a collection is. */
export const collectionAddress = (slug: string): string => `${collectionFolder}/${slug}`;

/** The pages of all collections. */
export const collectionPages = (pages: Pick<PagesDocument, "collections">, facts: PageFacts): CollectionPage[] =>
  pages.collections.flatMap((collection): CollectionPage[] => {
    const { of, slug, name } = collection;
    const address = collectionAddress(slug);
    if (of.by !== "value") return [{ address, kind: "collection", name, collection }];
    const options = facts.fields.some(({ key }) => key === of.field) ? facts.optionsOf(of.field) : [];
    const slugs = slugsOf(options.map(({ label }) => label));
    return options.map((value, at) => ({
      address: `${address}-${slugs[at]}`,
      kind: "collection",
      name: name === "" ? value.label : `${name}: ${value.label}`,
      collection,
      value,
    }));
  });

/** The collection that a page is of; undefined for every other kind of page. */
export function collectionAt(
  { address, kind }: Pick<PageRef, "address" | "kind">,
  pages: PagesDocument,
): Collection | undefined {
  if (kind !== "collection") return undefined;
  const slug = address.slice(collectionFolder.length + 1);
  return (
    pages.collections.find((one) => one.slug === slug) ??
    pages.collections.find((one) => one.of.by === "value" && slug.startsWith(`${one.slug}-`))
  );
}

/** Where an article is. */
export const articleAddress = (slug: string): string => `${articleFolder}/${slug}`;

/** The pages of all articles. */
export const articlePages = (pages: PagesDocument): PageRef[] =>
  pages.articles.map(({ slug, title }) => ({ address: articleAddress(slug), kind: "article", name: title }));

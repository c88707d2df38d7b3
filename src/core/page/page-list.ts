import type { PageKind } from "../profile/page-kinds.ts";
import { type PageFacts, slugsOf, valuePages } from "../profile/value-pages.ts";
import type { Collection, PagesDocument } from "./pages-schema.ts";

/** A page of the shop by its address. */
export interface PageRef {
  address: string;
  kind: PageKind;
  /** Its name; empty if a standard text is used. */
  name: string;
}

/** The addresses of the page of the whole shop and of the search results. */
export const shopAddress = "/";
export const searchAddress = "/search";
const productFolder = "/products";
const collectionFolder = "/collections";
const articleFolder = "/articles";

/** The address of a product's page, with a variant selected. @param variant index among the variants, from 0 */
export const productAddress = ({ id, variant }: { id: string; variant?: number | undefined }): string =>
  `${productFolder}/${encodeURIComponent(id)}${variant === undefined ? "" : `?variant=${variant + 1}`}`;

/** The id of the product at an address; undefined for other pages. */
export const productAt = (address: string): string | undefined =>
  address.startsWith(`${productFolder}/`) ? safely(address.slice(productFolder.length + 1)) : undefined;

function safely(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}

/** A page of a collection: a collection per value of a field has several. */
export interface CollectionPage extends PageRef {
  collection: Collection;
  /** The value it is for. */
  value?: { id: string; label: string };
}

/** Every page of a shop: the whole shop, collections, pages for values of the catalogue, search results, articles. */
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

/** The collection of a page; undefined for other kinds of page. */
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

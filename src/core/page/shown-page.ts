import { pathSeparator } from "../catalogue/path.ts";
import type { Clause } from "../engine/question.ts";
import { bestMatch } from "../engine/sort-keys.ts";
import type { PageKind } from "../profile/page-kinds.ts";
import { type PageFacts, valuePages } from "../profile/value-pages.ts";
import { defaultLayout, defaultPanels, type Layout, laidOver } from "./layout.ts";
import {
  articlePages,
  collectionAddress,
  collectionPages,
  type PageRef,
  searchAddress,
  shopAddress,
} from "./page-list.ts";
import type { Collection, PagesDocument } from "./pages-schema.ts";

/** A page as shown, without its panels' documents and its products. */
export interface ShownPage extends PageRef {
  /** By BCP 47 tag, its name in other languages. */
  names?: Record<string, string> | undefined;
  /** The designer's text: above the products, or the article. */
  html: string;
  /** The page's ancestors, from the whole shop down. */
  crumbs: { name: string; to: string }[];
  /** The conditions of the page's products. */
  within: Clause[];
  /** The page's order until the shopper chooses another. */
  order: string;
  layout: Layout;
}

/** A page without its layout. */
type Content = Pick<ShownPage, "names" | "html" | "crumbs" | "within" | "order"> & PageRef;

const top = { name: "", to: shopAddress };
const plain = { html: "", crumbs: [], within: [], order: "" };

/**
 * The page at an address, with its layout: the default, changed for the whole shop, its kind, and itself.
 * @param first the shop's first panel, used where the designer has placed none
 * @returns undefined if there is no such page
 */
export function shownPage(
  address: string,
  pages: PagesDocument,
  facts: PageFacts,
  first: string | undefined,
): ShownPage | undefined {
  const content = contentAt(address, pages, facts);
  if (!content) return undefined;
  const { within } = content;
  const layout = layoutAt(content, pages, first);
  // A condition over a missing field would empty every page of the kind; a finding reports it.
  const standing = layout.within.filter(
    (one) => !("field" in one) || facts.fields.some(({ key }) => key === one.field),
  );
  return { ...content, within: [...within, ...standing.map((one) => [one])], layout };
}

/** The layout inherited by a kind of page: the default, changed for the whole shop. */
export const layoutEverywhere = (kind: PageKind, pages: PagesDocument, first: string | undefined): Layout =>
  laidOver({ ...defaultLayout, panels: defaultPanels(kind, first), listing: kind !== "article" }, pages.everywhere);

/** The layout of a kind of page: that of the whole shop, changed by the kind. */
export const layoutOfKind = (kind: PageKind, pages: PagesDocument, first: string | undefined): Layout =>
  laidOver(layoutEverywhere(kind, pages, first), pages.layouts[kind]);

/** The layout of a page: that of its kind, changed by the page itself. */
export const layoutAt = (
  { address, kind }: Pick<PageRef, "address" | "kind">,
  pages: PagesDocument,
  first: string | undefined,
): Layout => laidOver(layoutOfKind(kind, pages, first), pageOverrides(pages, address));

/** The pages with the shop's first panel by default. */
export function defaultPages<P extends Pick<PageRef, "address" | "kind">>(
  list: readonly P[],
  pages: PagesDocument,
): P[] {
  const first = "";
  return list.filter((one) => layoutAt(one, pages, first).panels.some(({ panel }) => panel === first));
}

/** The first page with a panel, among those known without the catalogue; the whole shop's page if it is on none. */
export function firstPageOf(panel: string, pages: PagesDocument, first: string | undefined): string {
  const told: Pick<PageRef, "address" | "kind">[] = [
    { address: shopAddress, kind: "shop" },
    ...pages.collections
      .filter(({ of }) => of.by !== "value")
      .map(({ slug }) => ({ address: collectionAddress(slug), kind: "collection" as const })),
    ...articlePages(pages),
  ];
  const stands = told.find((one) => layoutAt(one, pages, first).panels.some((standing) => standing.panel === panel));
  return stands?.address ?? shopAddress;
}

/** One page's own settings; undefined if it has none. */
export const pageOverrides = ({ exceptions }: PagesDocument, address: string) =>
  Object.hasOwn(exceptions, address) ? exceptions[address] : undefined;

function contentAt(address: string, pages: PagesDocument, facts: PageFacts): Content | undefined {
  if (address === shopAddress) return { ...plain, address, kind: "shop", name: "" };
  if (address === searchAddress)
    return { ...plain, address, kind: "search", name: "", crumbs: [top], order: bestMatch };
  const made = collectionPages(pages, facts).find((one) => one.address === address);
  if (made) {
    const { collection, value, name } = made;
    const { names, html, order } = collection;
    const within = membersOf(collection, value?.id);
    return { address, kind: "collection", name, names: value ? undefined : names, html, order, crumbs: [top], within };
  }
  const article = pages.articles[articlePages(pages).findIndex((one) => one.address === address)];
  if (article) {
    const { title, titles, html } = article;
    return { ...plain, address, kind: "article", name: title, names: titles, html, crumbs: [top] };
  }
  return valueContent(address, facts);
}

function valueContent(address: string, facts: PageFacts): Content | undefined {
  const all = valuePages(facts);
  const own = all.find((one) => one.address === address);
  if (!own) return undefined;
  const { kind, field, id, label: name } = own;
  const above = all.filter((one) => one.field === field && id.startsWith(one.id + pathSeparator));
  const crumbs = [top, ...above.map(({ label, address: to }) => ({ name: label, to }))];
  return { ...plain, address, kind, name, crumbs, within: [[{ field, options: [id] }]] };
}

/** The conditions of a collection's products. */
export function membersOf({ of }: Pick<Collection, "of">, value: string | undefined): Clause[] {
  if (of.by === "hand") return [[{ products: [...of.products] }]];
  if (of.by === "value") return [[{ field: of.field, options: value === undefined ? [] : [value] }]];
  return of.join === "any" ? [of.conditions] : of.conditions.map((one) => [one]);
}

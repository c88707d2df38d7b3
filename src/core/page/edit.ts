import type { Edit } from "../document/edit.ts";
import type { SearchedField } from "../engine/index/search-schema.ts";
import { freeId } from "../panel/row-id.ts";
import type { PageKind } from "../profile/page-kinds.ts";
import type { Banded } from "../settings/band.ts";
import type { Placement } from "../settings/placement.ts";
import { moveAddress } from "./move-address.ts";
import { articleAddress, collectionAddress } from "./page-list.ts";
import type { Article, Bar, Collection, LayoutChanges, MenuEntry, PagesDocument, PanelOnPage } from "./pages-schema.ts";

/** One undoable step over a shop's pages. */
export type PagesEdit = Edit<PagesDocument>;

/** The scope of a layout change: all pages of the shop, those of a type, or the one at an address. */
export type Scope = { everywhere: true } | { kind: PageKind } | { address: string };

/** Sets members of a layout. An undefined one is inherited again. */
export const setLayout = (scope: Scope, changes: LayoutChanges, words: string): PagesEdit => ({
  words,
  change: (pages) => {
    const own = { ...layoutOf(pages, scope), ...changes };
    const left = Object.fromEntries(Object.entries(own).filter(([, value]) => value !== undefined));
    putLayout(pages, scope, Object.keys(left).length === 0 ? undefined : left);
  },
});

/** Makes one page inherit everything from its kind again. */
export const resetLayout = (address: string, name: string): PagesEdit => ({
  words: `Reset ${name} to its page type`,
  change: (pages) => putLayout(pages, { address }, undefined),
});

/** Places a panel on pages. @param standing the panels there now @param at undefined for the panel's own placement */
export function placePanel(
  scope: Scope,
  standing: readonly PanelOnPage[],
  panel: string,
  at: Banded<Placement> | undefined,
  words: string,
): PagesEdit {
  const here = standing.some((one) => one.panel === panel);
  const placed = (one: PanelOnPage): PanelOnPage => (one.panel === panel ? { ...one, at } : one);
  const panels = here ? standing.map(placed) : [...standing, placed({ panel })];
  return setLayout(scope, { panels: panels.map(tidy) }, words);
}

/** Moves a panel before the one ahead of it: in a slot that both are in it then comes first. */
export const movePanelUp = (
  scope: Scope,
  standing: readonly PanelOnPage[],
  panel: string,
  words: string,
): PagesEdit => {
  const at = standing.findIndex((one) => one.panel === panel);
  const next = [...standing];
  const [own] = at < 0 ? [] : next.splice(at, 1);
  if (own) next.splice(Math.max(0, at - 1), 0, own);
  return setLayout(scope, { panels: next.map(tidy) }, words);
};

/** Takes a panel off pages. */
export const removePanelFromPage = (
  scope: Scope,
  standing: readonly PanelOnPage[],
  panel: string,
  words: string,
): PagesEdit => setLayout(scope, { panels: standing.filter((one) => one.panel !== panel).map(tidy) }, words);

const tidy = ({ panel, at, after }: PanelOnPage): PanelOnPage => ({
  panel,
  ...(at ? { at } : {}),
  ...(after === undefined ? {} : { after }),
});

/** A scope's own settings; undefined if there are none. */
export function layoutOf({ everywhere, layouts, exceptions }: PagesDocument, scope: Scope): LayoutChanges | undefined {
  if ("everywhere" in scope) return everywhere;
  if ("kind" in scope) return layouts[scope.kind];
  return Object.hasOwn(exceptions, scope.address) ? exceptions[scope.address] : undefined;
}

function putLayout(pages: PagesDocument, scope: Scope, layout: LayoutChanges | undefined): void {
  const { layouts, exceptions } = pages;
  if ("everywhere" in scope) {
    if (layout) pages.everywhere = layout;
    else delete pages.everywhere;
  } else if ("kind" in scope) {
    if (layout) layouts[scope.kind] = layout;
    else delete layouts[scope.kind];
  } else if (layout) exceptions[scope.address] = layout;
  else delete exceptions[scope.address];
}

/** Adds a collection at the end, with an unused id and address. */
export const addCollection = (collection: Collection): PagesEdit => ({
  words: `Add the collection ${collection.name}`,
  change: ({ collections }) => {
    collections.push({
      ...collection,
      id: freeId(collections, collection.id),
      slug: freeSlug(collections, collection.slug),
    });
  },
});

/** Replaces the collection with the same id. Exceptions and links follow its address. */
export const setCollection = (collection: Collection, words: string): PagesEdit => ({
  words,
  change: (pages) => {
    const [before, slug] = putPage(pages.collections, collection);
    if (!before) return;
    const perValue = before.of.by === "value";
    moveAddress(pages, collectionAddress(before.slug), collectionAddress(slug), perValue);
  },
});

/** Takes a collection away. */
export const removeCollection = ({ id, name }: Collection): PagesEdit => ({
  words: `Remove the collection ${name}`,
  change: (pages) => {
    pages.collections = pages.collections.filter((one) => one.id !== id);
  },
});

/** Adds an article at the end, with an unused id and address. */
export const addArticle = (article: Article): PagesEdit => ({
  words: `Add the article ${article.title}`,
  change: ({ articles }) => {
    articles.push({ ...article, id: freeId(articles, article.id), slug: freeSlug(articles, article.slug) });
  },
});

/** Replaces the article with the same id. Exceptions and links follow its address. */
export const setArticle = (article: Article, words: string): PagesEdit => ({
  words,
  change: (pages) => {
    const [before, slug] = putPage(pages.articles, article);
    if (before) moveAddress(pages, articleAddress(before.slug), articleAddress(slug), false);
  },
});

/** Takes an article away. */
export const removeArticle = ({ id, title }: Article): PagesEdit => ({
  words: `Remove the article ${title}`,
  change: (pages) => {
    pages.articles = pages.articles.filter((one) => one.id !== id);
  },
});

/** The bars at the top of every page. */
export const setBars = (bars: readonly Bar[], words: string): PagesEdit => ({
  words,
  change: (pages) => {
    pages.bars = [...bars];
  },
});

/** The menu of every page. */
export const setMenu = (menu: readonly MenuEntry[], words: string): PagesEdit => ({
  words,
  change: (pages) => {
    pages.menu = [...menu];
  },
});

/** The weights of fields' words in a search; undefined for the default ones. */
export const setSearch = (search: SearchedField[] | undefined, words: string): PagesEdit => ({
  words,
  change: (pages) => {
    if (search) pages.search = search;
    else delete pages.search;
  },
});

/**
 * Replaces the page with the same id, at an unused address.
 * @returns the page before, if there was one, and the new slug
 */
function putPage<T extends { id: string; slug: string }>(list: T[], page: T): [T | undefined, string] {
  const at = list.findIndex(({ id }) => id === page.id);
  const before = list[at];
  const others = list.filter(({ id }) => id !== page.id);
  const slug = freeSlug(others, page.slug);
  if (before) list[at] = { ...page, slug };
  return [before, slug];
}

function freeSlug(others: readonly { slug: string }[], slug: string): string {
  const taken = new Set(others.map((one) => one.slug));
  for (let n = 1; ; n++) {
    const candidate = n === 1 ? slug : `${slug}-${n}`;
    if (!taken.has(candidate)) return candidate;
  }
}

import type { Field } from "../core/catalogue/field.ts";
import type { DocumentKind } from "../core/document/kind.ts";
import { weightOf } from "../core/engine/index/text-index.ts";
import { fontsNamedIn } from "../core/look/fonts.ts";
import { groundOf } from "../core/look/ground.ts";
import { lookKind } from "../core/look/kind.ts";
import { valueOn } from "../core/look/resolve.ts";
import { pagesKind } from "../core/page/kind.ts";
import type { Layout } from "../core/page/layout.ts";
import type { PagesDocument } from "../core/page/pages-schema.ts";
import { shownPage } from "../core/page/shown-page.ts";
import { targetOf } from "../core/page/target.ts";
import { panelKind } from "../core/panel/kind.ts";
import { pageExtra } from "../core/panel/look/page-extra.ts";
import { pageLook } from "../core/panel/look/page-look.ts";
import { facetRows } from "../core/panel/panel.ts";
import { bandQueries, resolveBands, resolveScheme } from "../core/settings/media.ts";
import { shopKind } from "../core/shop/kind.ts";
import { ownLanguage } from "../core/shop/languages.ts";
import type { ShopDocument } from "../core/shop/shop-schema.ts";
import { siteOf } from "../core/shop/site.ts";
import type { SwatchBook } from "../core/swatch/view.ts";
import type { PagePanel } from "../storefront/page/page-panel.ts";
import type { Around } from "../storefront/shop/around.ts";
import type { Boot, EnginePlace } from "../storefront/shop/boot.ts";
import { sayOf, wordsOf } from "../storefront/words/spoken.ts";
import { firstFileOf, withFallbacks } from "./fonts.ts";
import { noDocument } from "./http-error.ts";
import type { ServedCatalogues } from "./served-catalogue.ts";
import { shopLook } from "./store/looks.ts";
import type { ShopSource } from "./store/source.ts";
import { fieldsOfPage } from "./used-fields.ts";

/** Opens a shop for its pages. @param base prefix of all their addresses */
export async function openShop(
  source: ShopSource,
  catalogues: Pick<ServedCatalogues, "get">,
  base: string,
  asked: string | undefined,
) {
  const { shop } = source;
  const [settings, pages] = await Promise.all([oneOf(source, shopKind), oneOf(source, pagesKind)]);
  const { served, swatches } = await catalogues.get(source);
  const language = chosenLanguage(settings, asked);
  const { bars, menu, search } = pages;
  const around: Around = {
    shop: {
      ...{ slug: shop.slug, name: shop.name, currency: shop.currency, bars, menu, search },
      suggest: `${apiOf(source)}/suggest${queryOf({ ...stateQuery(source), q: "" })}`,
    },
    base,
    language,
    say: sayOf(language),
  };
  const look = await shopLook(source, settings);
  return { source, shop, settings, site: siteOf(settings), pages, served, swatches, look, around };
}

/** See {@link openShop}. */
export type BootShop = Awaited<ReturnType<typeof openShop>>;

/** A document of a kind of which a shop has one. */
const oneOf = async <D extends object>(source: ShopSource, kind: DocumentKind<D>): Promise<D> =>
  (await source.read(kind))?.document ?? kind.fresh("");

/**
 * The initial data of a page; undefined if there is no page at the address.
 * @param panel to show whether it is on the page or not, alone if it is not
 */
export async function bootOf(
  { source, shop, settings, pages, served, swatches, look, around }: BootShop,
  address: string,
  { panel, stage }: { panel: string | undefined; stage: boolean },
): Promise<Boot | undefined> {
  const facts = served.pageFacts();
  const page = shownPage(address, pages, facts, await source.first(panelKind));
  if (!page) return undefined;
  const stands = page.layout.panels.some((one) => one.panel === panel);
  const standing = panel === undefined || stands ? page.layout.panels : [{ panel }];
  const found = await Promise.all(
    standing.map(async (one) => ({ ...one, read: await source.read(panelKind, one.panel) })),
  );
  if (panel !== undefined && found.some((one) => one.panel === panel && !one.read))
    throw noDocument(panelKind.what, panel);
  const panels = found.flatMap(({ panel: slug, at, after, read }) =>
    read ? [{ slug, at, after, panel: read.document, target: targetOf(read.document, pages, facts) }] : [],
  );
  const book = await swatches.resolve(source, groundOf(look));
  const api = apiOf(source);
  const { language, base } = around;
  const words = wordsOf(language);
  const withText = stage || showsText(page.layout) || searchesText(facts.fields, pages);
  const of = stateQuery(source);
  // On the stage a facet of any field may be added, so all fields are needed.
  const only = stage
    ? undefined
    : fieldsOfPage({ fields: facts.fields, isPictured: served.isPictured }, page, panels, pages.search);
  return {
    shop: around.shop,
    base,
    page,
    panels,
    fields: [...facts.fields],
    limits: settings.limits,
    swatches: stage ? book : ofPanels(book, panels),
    engine: served.isElsewhere ? "server" : enginePlace(shop.variantCount, stage),
    data: `${api}/data${queryOf({ ...of, ...(withText ? { text: "" } : {}), ...(only ? { only: only.join() } : {}) })}`,
    ask: `${api}/ask${queryOf(of)}`,
    language,
    ...(words === wordsOf("en") ? {} : { words }),
    stage,
  };
}

const apiOf = ({ shop }: ShopSource): string => `/api/shops/${encodeURIComponent(shop.slug)}`;

/** The query of every request of a page, so that it is answered from the state the page was drawn from. */
const stateQuery = ({ state }: ShopSource): Record<string, string> => {
  if (state === "draft") return {};
  return typeof state === "number" ? { edition: String(state) } : { preview: state.preview };
};

const queryOf = (members: Readonly<Record<string, string>>): string => {
  const query = new URLSearchParams(members).toString();
  return query && `?${query}`;
};

/** Whether a search covers descriptions. */
const searchesText = (fields: readonly Field[], { search }: PagesDocument): boolean =>
  fields.some((field) => field.role === "description" && weightOf(field, search) > 0);

/** Whether products are shown with their descriptions, which are most of a catalogue. */
const showsText = ({ card, table }: Layout): boolean =>
  [...card, ...table.flatMap(({ cells }) => cells)].some(({ part }) => part === "text");

/**
 * Maximum number of variants for an engine in the page, and for one in a worker. Reading a catalogue of the first size
 * blocks a phone for a tenth of a second (`npm run bench -- --page`).
 */
const maxInPage = 2500;
/** The same on the stage, in a designer's browser. */
const maxOnStage = 20_000;
const maxInWorker = 150_000;

/** Where a page's questions are answered. The stage has two pages, which would each fetch a large catalogue. */
export function enginePlace(variants: number, stage: boolean): EnginePlace {
  if (variants <= (stage ? maxOnStage : maxInPage)) return "page";
  return variants <= maxInWorker && !stage ? "worker" : "server";
}

/** The requested language if the shop has it; otherwise its own. */
const chosenLanguage = (settings: ShopDocument, asked: string | undefined): string =>
  asked !== undefined && settings.languages.includes(asked) ? asked : ownLanguage(settings);

/** The same shop in one of its languages. */
export const inLanguage = (shop: BootShop, language: string): BootShop => ({
  ...shop,
  around: { ...shop.around, language, say: sayOf(language) },
});

/** The rules of some panels' looks. Bands and dark mode are not resolved yet. */
export async function lookCss({ source, look: own }: BootShop, panels: readonly PagePanel[]): Promise<string> {
  const read = async (slug: string | undefined) =>
    slug === undefined ? undefined : (await source.read(lookKind, slug))?.document;
  const looked = await Promise.all(panels.map(async (one) => ({ ...one, look: await read(one.panel.look) })));
  return pageLook(own, looked) + pageExtra(own, looked);
}

/** A page's style: its own style sheet besides the shared one, and the font to preload. */
export interface PageLook {
  css: string;
  font: string | undefined;
}

/**
 * The rules of a page's looks, for its shop's bands and color schemes.
 * @param panels on the page
 * @param stage on the designer's stage, where a typeface appears whenever it has loaded
 */
export async function lookOf(open: BootShop, panels: readonly PagePanel[], stage: boolean): Promise<PageLook> {
  const own = await lookCss(open, panels);
  // The default typeface is part of the shared sheet, which contains no font files.
  const text = String(valueOn(open.look, "text.font"));
  const [font] = fontsNamedIn(text);
  const isUsual = font !== undefined && !own.includes(`"${font.family}"`);
  const usual = isUsual ? `@layer base { :root, :host { --zt-text-font: ${text}; } }\n` : "";
  const { css, faces } = withFallbacks(usual + own, stage ? "swap" : "optional");
  return {
    css: faces + resolveScheme(resolveBands(css, bandQueries(open.settings.limits)), "shopper"),
    font: font && firstFileOf(font),
  };
}

/** The part of the swatch book used by panels. */
const ofPanels = (swatches: SwatchBook, panels: readonly PagePanel[]): SwatchBook =>
  Object.fromEntries(
    panels.flatMap(({ panel }) =>
      facetRows(panel).flatMap(({ field }) => (swatches[field] ? [[field, swatches[field]]] : [])),
    ),
  );

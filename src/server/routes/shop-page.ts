import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Hono } from "hono";
import { html, raw } from "hono/html";
import { secureHeaders } from "hono/secure-headers";
import type { Field } from "../../core/catalogue/field.ts";
import { displayNames } from "../../core/display/displays.ts";
import type { DocumentKind } from "../../core/document/kind.ts";
import { weightOf } from "../../core/index/text-index.ts";
import { productOf } from "../../core/listing/product.ts";
import { pagesKind } from "../../core/page/kind.ts";
import type { Layout } from "../../core/page/layout.ts";
import { productAt } from "../../core/page/page-list.ts";
import type { PagesDocument } from "../../core/page/pages-schema.ts";
import { shownPage } from "../../core/page/shown-page.ts";
import { targetOf } from "../../core/page/target.ts";
import { panelKind } from "../../core/panel/kind.ts";
import { facetRows } from "../../core/panel/panel.ts";
import { shopKind } from "../../core/shop/kind.ts";
import type { SwatchBook } from "../../core/swatch/view.ts";
import { folderOf } from "../../storefront/panel/displays/sheets.ts";
import type { Boot, EnginePlace } from "../../storefront/shop/boot.ts";
import { drawNoPage, drawPage, drawProduct } from "../../storefront/shop/draw-page.tsx";
import { displaysOf, type PagePanel } from "../../storefront/shop/page-panel.ts";
import type { Around } from "../../storefront/shop/shop-frame.tsx";
import { direction } from "../../storefront/words/direction.ts";
import { sayOf, wordsOf } from "../../storefront/words/spoken.ts";
import { noDocument } from "../fault.ts";
import type { Catalogues } from "../store/catalogues.ts";
import { firstDocument, readDocument, type ShopRef } from "../store/documents.ts";
import { firstFont } from "../style-sheet.ts";
import { asFault } from "./api.ts";
import { plainPage } from "./plain-page.ts";
import { shopRefOf } from "./request.ts";
import { styleAddress } from "./style.ts";

/** Where the storefront's scripts are. */
export interface StorefrontAssets {
  script: string;
  /** Where a part of the script is, by its name, when it is built; what a page will want is fetched with its own. */
  part?: (name: string) => string;
}

/** The shops' own pages, drawn on the server and taken over in the browser. */
export function shopPages(fork: () => SqlEntityManager, catalogues: Catalogues, assets: StorefrontAssets): Hono {
  const app = new Hono();
  // Nothing that a catalogue or a designer brings along may run: scripts come from the shop itself only.
  app.use(
    secureHeaders({
      contentSecurityPolicy: {
        defaultSrc: ["'self'"],
        imgSrc: ["'self'", "https:", "http:", "data:"],
        styleSrc: ["'self'", "'unsafe-inline'"],
        scriptSrc: ["'self'"],
        connectSrc: assets.part ? ["'self'"] : ["'self'", "ws:"],
        frameAncestors: ["'self'"],
        formAction: ["'self'"],
        baseUri: ["'none'"],
        objectSrc: ["'none'"],
      },
      xFrameOptions: "SAMEORIGIN",
    }),
  );

  app.get("/:shop", (c) => c.redirect(`${c.req.path}/`));
  app.get("/:shop/*", async (c) => {
    const { search, pathname } = new URL(c.req.url);
    const shop = await openShop(fork(), catalogues, c.req.param("shop"), c.req.query("lang"));
    const address = addressIn(pathname, shop.around.base);
    const id = productAt(address);
    const product = id === undefined ? undefined : productOf(shop.facts.index, id);
    if (product) {
      const chosen = Number(c.req.query("variant") ?? 1) - 1;
      return c.html(stillAround(drawProduct(shop.around, product, chosen), shop));
    }
    const boot = await bootOf(shop, address, {
      panel: c.req.query("panel"),
      stage: c.req.query("stage") !== undefined,
    });
    if (!boot) return c.html(stillAround(drawNoPage(shop.around), shop), 404);
    return c.html(pageAround(await drawPage(boot, shop.facts, search), boot, assets));
  });
  app.onError((error, c) => {
    const fault = asFault(error);
    return c.html(plainPage(fault.status === 404 ? "Not here" : "That did not work", fault.message), fault.status);
  });
  return app;
}

/** A shop as all its pages want it. */
async function openShop(em: SqlEntityManager, catalogues: Catalogues, slug: string, asked: string | undefined) {
  const shop = await shopRefOf(em, slug);
  const [settings, pages] = await Promise.all([oneOf(em, shop, shopKind), oneOf(em, shop, pagesKind)]);
  const { facts, swatches } = await catalogues.get(em, shop);
  const language = chosenLanguage(settings.languages, asked);
  const { bars, menu, search } = pages;
  const around: Around = {
    shop: { slug: shop.slug, name: shop.name, currency: shop.currency, bars, menu, search },
    base: `/shop/${encodeURIComponent(shop.slug)}`,
    language,
    say: sayOf(language),
  };
  return { em, shop, settings, pages, facts, swatches, around };
}

type OpenShop = Awaited<ReturnType<typeof openShop>>;

/** A document of a kind of which a shop has one. */
const oneOf = async <D extends object>(em: SqlEntityManager, shop: ShopRef, kind: DocumentKind<D>): Promise<D> =>
  (await readDocument(em, shop, kind))?.document ?? kind.fresh("");

/** An address of the shop, without what stands in front of it and without a slash at its end. */
const addressIn = (pathname: string, base: string): string =>
  `/${safelyDecoded(pathname.slice(base.length)).split("/").filter(Boolean).join("/")}`;

function safelyDecoded(text: string): string {
  try {
    return decodeURI(text);
  } catch {
    return text;
  }
}

/**
 * What a page is born with; undefined when there is no page at the address.
 * @param panel to be shown whether it stands on the page or not, alone where it does not
 */
async function bootOf(
  { em, shop, settings, pages, facts, swatches, around }: OpenShop,
  address: string,
  { panel, stage }: { panel: string | undefined; stage: boolean },
): Promise<Boot | undefined> {
  const page = shownPage(address, pages, facts.pageFacts(), await firstDocument(em, shop, panelKind));
  if (!page) return undefined;
  const stands = page.layout.panels.some((one) => one.panel === panel);
  const standing = panel === undefined || stands ? page.layout.panels : [{ panel }];
  const found = await Promise.all(
    standing.map(async (one) => ({ ...one, read: await readDocument(em, shop, panelKind, one.panel) })),
  );
  if (panel !== undefined && found.some((one) => one.panel === panel && !one.read))
    throw noDocument(panelKind.what, panel);
  const panels = found.flatMap(({ panel: slug, at, after, read }) =>
    read ? [{ slug, at, after, panel: read.document, target: targetOf(read.document, pages, facts.pageFacts()) }] : [],
  );
  const book = await swatches.resolve(em, shop);
  const api = `/api/shops/${encodeURIComponent(shop.slug)}`;
  const { language, base } = around;
  const words = wordsOf(language);
  return {
    shop: around.shop,
    base,
    page,
    panels,
    fields: facts.index.catalogue.fields,
    limits: settings.limits,
    swatches: stage ? book : ofPanels(book, panels),
    engine: enginePlace(shop.variantCount, stage),
    data: `${api}/data${stage || showsText(page.layout) || searchesText(facts.index.catalogue.fields, pages) ? "?text" : ""}`,
    ask: `${api}/ask`,
    language,
    ...(words === wordsOf("en") ? {} : { words }),
    stage,
  };
}

/** Whether a search goes over descriptions. */
const searchesText = (fields: readonly Field[], { search }: PagesDocument): boolean =>
  fields.some((field) => field.role === "description" && weightOf(field, search) > 0);

/** Whether products are shown with their descriptions, which are most of a catalogue. */
const showsText = ({ card, table }: Layout): boolean =>
  [...card, ...table.flatMap(({ cells }) => cells)].some(({ part }) => part === "text");

/** Variants up to which a page counts for itself, and up to which a worker of its own does. */
const mostInPage = 20_000;
const mostInWorker = 150_000;

/** Where a page's questions are answered. The stage has two pages, which would each fetch a large catalogue. */
export function enginePlace(variants: number, stage: boolean): EnginePlace {
  if (variants <= mostInPage) return "page";
  return variants <= mostInWorker && !stage ? "worker" : "server";
}

/** The language asked for, where the shop has it; its own otherwise. */
const chosenLanguage = (languages: readonly string[], asked: string | undefined): string =>
  asked !== undefined && languages.includes(asked) ? asked : "en";

const ofPanels = (swatches: SwatchBook, panels: readonly PagePanel[]): SwatchBook =>
  Object.fromEntries(
    panels.flatMap(({ panel }) =>
      facetRows(panel).flatMap(({ field }) => (swatches[field] ? [[field, swatches[field]]] : [])),
    ),
  );

function pageAround(body: string, boot: Boot, { script, part }: StorefrontAssets) {
  // A “<” inside the data could close the script element; escaped, it is the same JSON.
  const json = JSON.stringify(boot).replaceAll("<", "\\u003c");
  const displays = displaysOf(boot.panels);
  const counts = boot.engine === "page";
  const parts = [
    "shared",
    ...(counts ? ["fetch-engine"] : []),
    ...(boot.stage ? ["stage"] : []),
    ...[...new Set((boot.stage ? displayNames : displays).map(folderOf))].map((folder) => `display-${folder}`),
  ];
  const style = styleAddress(displays, boot.limits, boot.stage);
  return document(body, { ...boot, title: boot.shop.name, style }, [
    html`<script type="application/json" id="zt-boot">${raw(json)}</script>`,
    html`<script type="module" src="${script}"></script>`,
    ...(part ? parts.map((name) => html`<link rel="modulepreload" href="${part(name)}" />`) : []),
    ...(counts ? [html`<link rel="preload" href="${boot.data}" as="fetch" crossorigin />`] : []),
  ]);
}

/** A page on which nothing runs. */
const stillAround = (body: string, { around, settings }: OpenShop) =>
  document(
    body,
    { ...around, title: around.shop.name, style: styleAddress([], settings.limits, false), stage: false },
    [],
  );

function document(
  body: string,
  { language, title, style, stage }: Pick<Boot, "language" | "stage"> & { title: string; style: string },
  head: unknown[],
) {
  return html`<!doctype html>
<html lang="${language}" dir="${direction(language)}" ${stage ? raw("data-stage") : ""}>
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <title>${title}</title>
    <link rel="icon" href="data:," />
    <link rel="preload" href="${firstFont}" as="font" type="font/woff2" crossorigin />
    <link id="zt-style" rel="stylesheet" href="${style}" />
    ${head}
  </head>
  <body>
    <div id="zt-page">${raw(body)}</div>
  </body>
</html>`;
}

import type { SqlEntityManager } from "@mikro-orm/libsql";
import { type Context, Hono } from "hono";
import { html, raw } from "hono/html";
import { secureHeaders } from "hono/secure-headers";
import { bands } from "../../core/band/band.ts";
import { displayNames } from "../../core/display/displays.ts";
import { panelKind } from "../../core/panel/kind.ts";
import { facetRows } from "../../core/panel/panel.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import { shopKind } from "../../core/shop/kind.ts";
import type { SwatchBook } from "../../core/swatch/view.ts";
import { folderOf } from "../../storefront/panel/displays/sheets.ts";
import type { Boot, EnginePlace } from "../../storefront/shop/boot.ts";
import { drawPage } from "../../storefront/shop/draw-page.tsx";
import { displaysOf } from "../../storefront/shop/page-state.ts";
import { direction } from "../../storefront/words/direction.ts";
import { wordsOf } from "../../storefront/words/spoken.ts";
import { noDocument } from "../fault.ts";
import type { Catalogues } from "../store/catalogues.ts";
import { firstDocument, readDocument } from "../store/documents.ts";
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
  app.get("/:shop/", async (c) => {
    const { search } = new URL(c.req.url);
    const { boot, facts } = await bootOf(fork(), catalogues, c);
    return c.html(pageAround(await drawPage(boot, facts, search), boot, assets));
  });
  app.onError((error, c) => {
    const fault = asFault(error);
    return c.html(plainPage(fault.status === 404 ? "Not here" : "That did not work", fault.message), fault.status);
  });
  return app;
}

/** What a page is born with, and what answers its first question. */
async function bootOf(em: SqlEntityManager, catalogues: Catalogues, c: Context) {
  const shop = await shopRefOf(em, c.req.param("shop") ?? "");
  const panelSlug = c.req.query("panel") ?? (await firstDocument(em, shop, panelKind));
  const panel = panelSlug === undefined ? undefined : await readDocument(em, shop, panelKind, panelSlug);
  if (panelSlug === undefined || !panel) throw noDocument(panelKind.what, panelSlug);
  const settings = (await readDocument(em, shop, shopKind))?.document ?? shopKind.fresh("");
  const { facts, swatches } = await catalogues.get(em, shop);
  const book = await swatches.resolve(em, shop);
  const stage = c.req.query("stage") !== undefined;
  const api = `/api/shops/${encodeURIComponent(shop.slug)}`;
  const language = chosenLanguage(settings.languages, c.req.query("lang"));
  const words = wordsOf(language);
  const boot: Boot = {
    shop: { slug: shop.slug, name: shop.name, currency: shop.currency },
    fields: facts.index.catalogue.fields,
    panel: panel.document,
    panelSlug,
    limits: settings.limits,
    swatches: stage ? book : ofPanel(book, panel.document),
    engine: enginePlace(shop.variantCount, stage),
    data: `${api}/data`,
    ask: `${api}/ask`,
    language,
    ...(words === wordsOf("en") ? {} : { words }),
    stage,
  };
  return { boot, facts };
}

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

const ofPanel = (swatches: SwatchBook, panel: PanelDocument): SwatchBook =>
  Object.fromEntries(facetRows(panel).flatMap(({ field }) => (swatches[field] ? [[field, swatches[field]]] : [])));

function pageAround(body: string, boot: Boot, { script, part }: StorefrontAssets) {
  // A “<” inside the data could close the script element; escaped, it is the same JSON.
  const json = JSON.stringify(boot).replaceAll("<", "\\u003c");
  const displays = displaysOf(boot.panel, bands);
  const counts = boot.engine === "page";
  const parts = [
    "shared",
    ...(counts ? ["fetch-engine"] : []),
    ...(boot.stage ? ["stage"] : []),
    ...[...new Set((boot.stage ? displayNames : displays).map(folderOf))].map((folder) => `display-${folder}`),
  ];
  return html`<!doctype html>
<html lang="${boot.language}" dir="${direction(boot.language)}" ${boot.stage ? raw("data-stage") : ""}>
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <title>${boot.shop.name}</title>
    <link rel="icon" href="data:," />
    <link rel="preload" href="${firstFont}" as="font" type="font/woff2" crossorigin />
    <link id="zt-style" rel="stylesheet" href="${styleAddress(displays, boot.limits, boot.stage)}" />
    <script type="application/json" id="zt-boot">${raw(json)}</script>
    <script type="module" src="${script}"></script>
    ${part ? parts.map((name) => html`<link rel="modulepreload" href="${part(name)}" />`) : ""}
    ${counts ? html`<link rel="preload" href="${boot.data}" as="fetch" crossorigin />` : ""}
  </head>
  <body>
    <div id="zt-page">${raw(body)}</div>
  </body>
</html>`;
}

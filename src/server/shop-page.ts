import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Hono } from "hono";
import { html, raw } from "hono/html";
import { secureHeaders } from "hono/secure-headers";
import type { Band } from "../core/panel/bands.ts";
import { facetRows, type PanelDocument } from "../core/panel/document.ts";
import type { SwatchBook } from "../core/swatch/view.ts";
import { direction } from "../storefront/direction.ts";
import { drawPage } from "../storefront/server.tsx";
import type { Boot, EnginePlace } from "../storefront/shop-data.ts";
import { asFault } from "./api.ts";
import type { Catalogues } from "./catalogues.ts";
import { Fault, noPanel, noShop } from "./fault.ts";
import { findPanel, findShop } from "./shops.ts";

/** Where the storefront's script and style are. */
export interface StorefrontAssets {
  script: string;
  style: string | undefined;
  /** Fetched at once, so that no text changes its width after the first paint. */
  font: string | undefined;
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
        connectSrc: assets.style ? ["'self'"] : ["'self'", "ws:"],
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
    const em = fork();
    const slug = c.req.param("shop");
    const shop = await findShop(em, slug);
    if (!shop) throw noShop(slug);
    const wanted = c.req.query("panel");
    const first = shop.panels.getItems()[0];
    const panel = wanted === undefined ? first : await findPanel(em, shop, wanted);
    if (!panel) throw wanted === undefined ? new Fault(404, "This shop has no panel yet. Make one on the bench.") : noPanel(wanted);
    const { engine, swatches: resolver } = await catalogues.get(em, shop);
    const swatches = resolver.resolve(shop);
    const stage = c.req.query("stage") !== undefined;
    const api = `/api/shops/${encodeURIComponent(slug)}`;
    const boot: Boot = {
      shop: { slug, name: shop.name, currency: shop.currency },
      fields: engine.index.catalogue.fields,
      panel: panel.document,
      swatches: stage ? swatches : ofPanel(swatches, panel.document),
      engine: enginePlace(shop.variantCount, stage),
      data: `${api}/data`,
      ask: `${api}/ask`,
      language: chosenLanguage(panel.document.languages, c.req.query("lang")),
      stage,
    };
    const body = drawPage(boot, engine, new URL(c.req.url).search, guessBand(c.req.raw.headers));
    return c.html(document(shop.name, body, boot, assets));
  });
  app.onError((error, c) => {
    const fault = asFault(error);
    return c.html(plainPage(fault.status === 404 ? "Not here" : "That did not work", fault.message), fault.status);
  });
  return app;
}

/** Variants up to which a page counts for itself, and up to which a worker of its own does. */
const mostInPage = 20_000;
const mostInWorker = 150_000;

/** Where a page's questions are answered. The stage has two pages, which would each fetch a large catalogue. */
export function enginePlace(variants: number, stage: boolean): EnginePlace {
  if (variants <= mostInPage) return "page";
  return variants <= mostInWorker && !stage ? "worker" : "server";
}

/** The language asked for, where the panel has it; the panel's own otherwise. */
const chosenLanguage = (languages: readonly string[], asked: string | undefined): string =>
  asked !== undefined && languages.includes(asked) ? asked : "en";

const ofPanel = (swatches: SwatchBook, panel: PanelDocument): SwatchBook =>
  Object.fromEntries(facetRows(panel).flatMap(({ field }) => (swatches[field] ? [[field, swatches[field]]] : [])));

/** A page that says what is wrong and leads back. */
export const plainPage = (title: string, message: string) => html`<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <title>${title}</title>
    <style>
      body { max-width: 520px; margin: 18vh auto; padding: 0 24px; font: 17px/1.5 system-ui, sans-serif; color: #34203f; background: #faf5ec; }
      h1 { font-size: 28px; }
      a { color: inherit; }
    </style>
  </head>
  <body>
    <h1>${title}</h1>
    <p>${message}</p>
    <p><a href="/">All shops</a></p>
  </body>
</html>`;

/** The server cannot see a width; a phone says that it is one, and the browser corrects the rest. */
const guessBand = (headers: Headers): Band =>
  headers.get("sec-ch-ua-mobile") === "?1" || /\bMobi/.test(headers.get("user-agent") ?? "") ? "slim" : "wide";

function document(title: string, body: string, boot: Boot, { script, style, font }: StorefrontAssets) {
  // A “<” inside the data could close the script element; escaped, it is the same JSON.
  const json = JSON.stringify(boot).replaceAll("<", "\\u003c");
  return html`<!doctype html>
<html lang="${boot.language}" dir="${direction(boot.language)}" ${boot.stage ? raw("data-stage") : ""}>
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <title>${title}</title>
    <link rel="icon" href="data:," />
    ${font ? html`<link rel="preload" href="${font}" as="font" type="font/woff2" crossorigin />` : ""}
    ${style ? html`<link rel="stylesheet" href="${style}" />` : ""}
    <script type="application/json" id="zt-boot">${raw(json)}</script>
    <script type="module" src="${script}"></script>
  </head>
  <body>
    <div id="zt-page">${raw(body)}</div>
  </body>
</html>`;
}

import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Hono } from "hono";
import { html, raw } from "hono/html";
import { secureHeaders } from "hono/secure-headers";
import { displayNames } from "../../core/display/displays.ts";
import { productOf } from "../../core/listing/product.ts";
import { productAt } from "../../core/page/page-list.ts";
import { folderOf } from "../../storefront/panel/displays/sheets.ts";
import type { Boot } from "../../storefront/shop/boot.ts";
import { drawNoPage, drawPage, drawProduct } from "../../storefront/shop/draw-page.tsx";
import { displaysOf } from "../../storefront/shop/page-panel.ts";
import { direction } from "../../storefront/words/direction.ts";
import { firstFileOf } from "../fonts.ts";
import type { Catalogues } from "../store/catalogues.ts";
import { asFault } from "./api.ts";
import { plainPage } from "./plain-page.ts";
import { bootOf, lookOf, type OpenShop, openShop, type PageLook } from "./shop-boot.ts";
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
    const place = pathname.slice(shop.around.base.length);
    const id = productAt(place);
    const product = id === undefined ? undefined : productOf(shop.facts.index, id);
    if (product) {
      const chosen = Number(c.req.query("variant") ?? 1) - 1;
      return c.html(await stillAround(drawProduct(shop.around, product, chosen), shop));
    }
    const boot = await bootOf(shop, addressIn(place), {
      panel: c.req.query("panel"),
      stage: c.req.query("stage") !== undefined,
    });
    if (!boot) return c.html(await stillAround(drawNoPage(shop.around), shop), 404);
    const look = await lookOf(shop, boot.panels);
    return c.html(pageAround(await drawPage(boot, shop.facts, search), boot, look, assets));
  });
  app.onError((error, c) => {
    const fault = asFault(error);
    return c.html(plainPage(fault.status === 404 ? "Not here" : "That did not work", fault.message), fault.status);
  });
  return app;
}

/** A place of the shop as its pages are addressed: decoded, and without a slash at its end. */
const addressIn = (place: string): string => `/${safelyDecoded(place).split("/").filter(Boolean).join("/")}`;

function safelyDecoded(text: string): string {
  try {
    return decodeURI(text);
  } catch {
    return text;
  }
}

function pageAround(body: string, boot: Boot, look: PageLook, { script, part }: StorefrontAssets) {
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
  return document(body, { ...boot, title: boot.shop.name, style, look }, [
    html`<script type="application/json" id="zt-boot">${raw(json)}</script>`,
    html`<script type="module" src="${script}"></script>`,
    ...(part ? parts.map((name) => html`<link rel="modulepreload" href="${part(name)}" />`) : []),
    ...(counts ? [html`<link rel="preload" href="${boot.data}" as="fetch" crossorigin />`] : []),
  ]);
}

/** A page on which nothing runs. */
async function stillAround(body: string, shop: OpenShop) {
  const { around, settings } = shop;
  const style = styleAddress([], settings.limits, false);
  return document(body, { ...around, title: around.shop.name, style, look: await lookOf(shop, []), stage: false }, []);
}

function document(
  body: string,
  {
    language,
    title,
    style,
    look,
    stage,
  }: Pick<Boot, "language" | "stage"> & { title: string; style: string; look: PageLook },
  head: unknown[],
) {
  return html`<!doctype html>
<html lang="${language}" dir="${direction(language)}" ${stage ? raw("data-stage") : ""}>
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <title>${title}</title>
    <link rel="icon" href="data:," />
    ${look.font ? html`<link rel="preload" href="${firstFileOf(look.font)}" as="font" type="font/woff2" crossorigin />` : ""}
    <link id="zt-style" rel="stylesheet" href="${style}" />
    <style id="zt-look">
      ${raw(look.css)}
    </style>
    ${head}
  </head>
  <body>
    <div id="zt-page">${raw(body)}</div>
  </body>
</html>`;
}

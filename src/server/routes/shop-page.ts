import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Hono } from "hono";
import { html, raw } from "hono/html";
import { secureHeaders } from "hono/secure-headers";
import { displayNames } from "../../core/display/displays.ts";
import { productOf } from "../../core/listing/product.ts";
import { productAt } from "../../core/page/page-list.ts";
import { jsonInMarkup } from "../../core/safe/json-in-markup.ts";
import { displaysOf } from "../../storefront/page/page-panel.ts";
import { folderOf } from "../../storefront/panel/displays/sheets.ts";
import type { Boot } from "../../storefront/shop/boot.ts";
import { drawNoPage, drawPage, drawProduct } from "../../storefront/shop/draw-page.tsx";
import { direction } from "../../storefront/words/direction.ts";
import { Fault } from "../fault.ts";
import { firstFileOf } from "../fonts.ts";
import { bootOf, lookOf, type OpenShop, openShop, type PageLook } from "../shop-boot.ts";
import type { Catalogues } from "../store/catalogues.ts";
import { editionOf } from "../store/editions.ts";
import { draftOf, type ShopSource } from "../store/source.ts";
import { asFault } from "./api.ts";
import { plainPage } from "./plain-page.ts";
import { shopRefOf } from "./request.ts";
import { type StateMark, stateMark } from "./state-mark.ts";
import { styleAddress } from "./style.ts";

/** Where the storefront's scripts are. */
export interface StorefrontAssets {
  script: string;
  /** Where a part of the script is, by its name, when it is built; what a page will want is fetched with its own. */
  part?: (name: string) => string;
}

/** The states of a shop that pages are drawn from: what shoppers get, what is worked on, or an edition by its number. */
export type PagesOf = "shoppers" | "draft" | "edition";

interface PageSource {
  source: ShopSource;
  /** What stands in front of all addresses. */
  base: string;
  /** Says what it is, where that is not what shoppers get. */
  mark: StateMark | undefined;
}

/** Which state of a shop a page is drawn from. @throws Fault where there is none */
async function sourceAt(em: SqlEntityManager, of: PagesOf, slug: string, number: string): Promise<PageSource> {
  const shop = await shopRefOf(em, slug);
  const place = encodeURIComponent(shop.slug);
  const newest = await editionOf(em, shop);
  const link = newest
    ? { href: `/shop/${place}/`, link: "What shoppers get" }
    : { href: `/shops/${place}/editions`, link: "Publish it" };
  switch (of) {
    case "draft":
      return {
        source: draftOf(em, shop),
        base: `/draft/${place}`,
        mark: { words: newest ? "Draft" : "Draft, not published", ...link },
      };
    case "edition": {
      const n = Number(number);
      const source = Number.isSafeInteger(n) ? await editionOf(em, shop, n) : undefined;
      if (!source) throw new Fault(404, `There is no edition “${number.slice(0, 20)}” of ${shop.name}.`);
      const mark = n === newest?.edition ? undefined : { words: `Edition ${n}`, ...link };
      return { source, base: `/edition/${place}/${n}`, mark };
    }
    case "shoppers":
      if (!newest)
        throw new Fault(
          404,
          `${shop.name} is not yet published, so shoppers find nothing here. Publish it under Editions.`,
        );
      return { source: newest, base: `/shop/${place}`, mark: undefined };
  }
}

/** The shops' own pages, drawn on the server and taken over in the browser. */
export function shopPages(
  fork: () => SqlEntityManager,
  catalogues: Catalogues,
  assets: StorefrontAssets,
  of: PagesOf,
): Hono {
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

  const root = of === "edition" ? "/:shop/:n" : "/:shop";
  app.get(root, (c) => c.redirect(`${c.req.path}/`));
  app.get(`${root}/*`, async (c) => {
    const { search, pathname } = new URL(c.req.url);
    const { source, base, ...told } = await sourceAt(fork(), of, c.req.param("shop") ?? "", c.req.param("n") ?? "");
    // In a frame of the tool it stands above the frame what this is.
    const mark = c.req.header("sec-fetch-dest") === "iframe" ? undefined : told.mark;
    const shop = await openShop(source, catalogues, base, c.req.query("lang"));
    const place = pathname.slice(shop.around.base.length);
    const id = productAt(place);
    const product = id === undefined ? undefined : productOf(shop.facts.index, id);
    if (product) {
      const chosen = Number(c.req.query("variant") ?? 1) - 1;
      return c.html(await stillAround(drawProduct(shop.around, product, chosen), shop, mark));
    }
    const boot = await bootOf(shop, addressIn(place), {
      panel: c.req.query("panel"),
      stage: of === "draft" && c.req.query("stage") !== undefined,
    });
    if (!boot) return c.html(await stillAround(drawNoPage(shop.around), shop, mark), 404);
    const look = await lookOf(shop, boot.panels);
    return c.html(
      pageAround(await drawPage(boot, shop.facts, search), boot, look, assets, boot.stage ? undefined : mark),
    );
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

function pageAround(
  body: string,
  boot: Boot,
  look: PageLook,
  { script, part }: StorefrontAssets,
  mark: StateMark | undefined,
) {
  const json = jsonInMarkup(boot);
  const displays = displaysOf(boot.panels);
  const counts = boot.engine === "page";
  const parts = [
    "shared",
    ...(counts ? ["fetch-engine"] : []),
    ...(boot.stage ? ["stage"] : []),
    ...[...new Set((boot.stage ? displayNames : displays).map(folderOf))].map((folder) => `display-${folder}`),
  ];
  const style = styleAddress(displays, boot.limits, boot.stage);
  return document(body, { ...boot, title: boot.shop.name, style, look, mark }, [
    html`<script type="application/json" id="zt-boot">${raw(json)}</script>`,
    html`<script type="module" src="${script}"></script>`,
    ...(part ? parts.map((name) => html`<link rel="modulepreload" href="${part(name)}" />`) : []),
    ...(counts ? [html`<link rel="preload" href="${boot.data}" as="fetch" crossorigin />`] : []),
  ]);
}

/** A page on which nothing runs. */
async function stillAround(body: string, shop: OpenShop, mark: StateMark | undefined) {
  const { around, settings } = shop;
  const style = styleAddress([], settings.limits, false);
  return document(
    body,
    { ...around, title: around.shop.name, style, look: await lookOf(shop, []), stage: false, mark },
    [],
  );
}

function document(
  body: string,
  {
    language,
    title,
    style,
    look,
    stage,
    mark,
  }: Pick<Boot, "language" | "stage"> & { title: string; style: string; look: PageLook; mark: StateMark | undefined },
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
    ${mark ? stateMark(mark) : ""}
  </body>
</html>`;
}

import { Hono } from "hono";
import { html, raw } from "hono/html";
import { secureHeaders } from "hono/secure-headers";
import { plainCounts } from "../../core/engine/remote-engine.ts";
import { productAt } from "../../core/page/page-list.ts";
import { jsonInMarkup } from "../../core/sanitize/json-in-markup.ts";
import type { NotesBoot } from "../../storefront/notes/notes-boot.ts";
import { displaysOf } from "../../storefront/page/page-panel.ts";
import type { Boot } from "../../storefront/shop/boot.ts";
import { drawNoPage, drawPage, drawProduct } from "../../storefront/shop/draw-page.tsx";
import { direction } from "../../storefront/words/direction.ts";
import { cacheKey } from "../cache-key.ts";
import { CompressedBody } from "../compressed-body.ts";
import { type RenderedResponse, ResponseCache } from "../response-cache.ts";
import type { ServedCatalogues } from "../served-catalogue.ts";
import { type BootShop, bootOf, lookOf, openShop, type PageLook } from "../shop-boot.ts";
import { WriteScopedCache } from "../store/write-scoped-cache.ts";
import type { StorefrontAssets } from "../storefront-assets.ts";
import { asFault } from "./as-fault.ts";
import { messagePage } from "./message-page.ts";
import { type Offload, renderedOf } from "./offload.ts";
import type { FindPageSource, PageSource, PagesOf } from "./page-source.ts";
import { styleAddress } from "./style.ts";
import { type StateMark, versionBadge } from "./version-badge.ts";

export interface ShopPagesOptions {
  find: FindPageSource;
  catalogues: Pick<ServedCatalogues, "get">;
  assets: StorefrontAssets;
  of: PagesOf;
  keeps: boolean;
  /** Threads for drawing; in this thread if absent. */
  far: Offload | undefined;
}

/** The shops' own pages, drawn on the server and hydrated in the browser. */
export function shopPages({ find: findSource, catalogues, assets, of, keeps, far }: ShopPagesOptions): Hono {
  const app = new Hono();
  // Nothing in a catalogue or a designer's text may run: scripts come only from the server's own files.
  app.use(
    secureHeaders({
      contentSecurityPolicy: {
        defaultSrc: ["'self'"],
        imgSrc: ["'self'", "https:", "http:", "data:"],
        styleSrc: ["'self'", "'unsafe-inline'"],
        scriptSrc: ["'self'"],
        connectSrc: !assets.development ? ["'self'"] : ["'self'", "ws:"],
        frameAncestors: ["'self'"],
        formAction: ["'self'"],
        baseUri: ["'none'"],
        objectSrc: ["'none'"],
      },
      xFrameOptions: "SAMEORIGIN",
    }),
  );

  const kept = new ResponseCache();
  const sources = new WriteScopedCache<PageSource>();
  const root = { shoppers: "/:shop", draft: "/:shop", edition: "/:shop/:n", preview: "/:n" }[of];
  // A shared link without the slash keeps its choices.
  app.get(root, (c) => c.redirect(`${c.req.path}/${new URL(c.req.url).search}`));
  app.get(`${root}/*`, async (c) => {
    const { search, searchParams, pathname } = new URL(c.req.url);
    // A form sent without scripts includes every field; the address keeps only those with a value.
    const said = new URLSearchParams([...searchParams].filter(([name, value]) => value !== "" || name === "stage"));
    if (said.size < searchParams.size) return c.redirect(pathname + (said.size > 0 ? `?${said}` : ""));
    const [slug, n] = [c.req.param("shop") ?? "", c.req.param("n") ?? ""];
    const find = () => findSource(of, slug, n);
    // A draft is read for every page, an edition only once.
    const { source, base, preview, ...told } =
      of === "draft" ? await find() : await sources.get(cacheKey("anyone", "source", of, slug, n), find);
    // In a frame of the tool, the label is above the frame.
    const mark = c.req.header("sec-fetch-dest") === "iframe" ? undefined : told.mark;
    const notes = preview === undefined ? [] : notesScript(preview, base, assets);
    const draw = async (): Promise<RenderedResponse> => {
      const shop = await openShop(source, catalogues, base, c.req.query("lang"));
      const place = pathname.slice(shop.around.base.length);
      const id = productAt(place);
      const product = id === undefined ? undefined : await shop.served.product(id);
      if (product) {
        const chosen = Number(c.req.query("variant") ?? 1) - 1;
        const page = await stillAround(drawProduct(shop.around, product, chosen), shop, mark, notes);
        return { text: String(page), status: 200 };
      }
      const boot = await bootOf(shop, addressIn(place), {
        panel: c.req.query("panel"),
        stage: of === "draft" && c.req.query("stage") !== undefined,
      });
      if (!boot) return { text: String(await stillAround(drawNoPage(shop.around), shop, mark, notes)), status: 404 };
      const look = await lookOf(shop, boot.panels, boot.stage);
      const drawn = await drawPage(boot, shop.served, search);
      return {
        text: String(await pageAround(drawn, boot, look, assets, boot.stage ? undefined : mark, notes)),
        status: 200,
      };
    };
    const make = async () => (far ? renderedOf(await far(c)) : draw());
    // An edition never changes, and so neither does its drawn page.
    const made =
      of === "draft" || !keeps
        ? await make()
        : await kept.take(
            cacheKey("anyone", "page", source.key, base, JSON.stringify(mark ?? null), pathname, search),
            make,
          );
    return made instanceof CompressedBody
      ? made.answer(c.req.raw, htmlType, "no-cache")
      : c.html(made.text, made.status);
  });
  app.onError((error, c) => {
    const fault = asFault(error);
    return c.html(
      messagePage(fault.status === 404 ? "This page doesn’t exist" : "Something went wrong", fault.message),
      fault.status,
    );
  });
  return app;
}

const htmlType = "text/html; charset=UTF-8";

/** A place of the shop, decoded and without a trailing slash. */
const addressIn = (place: string): string => `/${safelyDecoded(place).split("/").filter(Boolean).join("/")}`;

function safelyDecoded(text: string): string {
  try {
    return decodeURI(text);
  } catch {
    return text;
  }
}

function pageAround(
  { markup, drawn }: Awaited<ReturnType<typeof drawPage>>,
  boot: Boot,
  look: PageLook,
  { script, shared, stage }: StorefrontAssets,
  mark: StateMark | undefined,
  notes: unknown[],
) {
  const displays = displaysOf(boot.panels);
  const style = styleAddress(displays, boot.limits, boot.stage);
  return document(
    markup,
    { ...boot, title: boot.shop.name, style, look, mark },
    [
      html`<script type="module" src="${script}"></script>`,
      ...[shared, boot.stage ? stage : undefined].map((href) =>
        href === undefined ? "" : html`<link rel="modulepreload" href="${href}" />`,
      ),
    ],
    // After the visible content, so that it appears first.
    [jsonScript("zt-boot", boot), jsonScript("zt-drawn", drawn), ...notes],
  );
}

/** The script that pins notes to a preview's pages, with what it needs to know. */
const notesScript = (preview: string, base: string, { notes }: StorefrontAssets) =>
  notes === undefined
    ? []
    : [
        jsonScript("zt-notes-boot", { address: `/preview-notes/${preview}`, base } satisfies NotesBoot),
        html`<script type="module" src="${notes}"></script>`,
      ];

const jsonScript = (id: string, value: unknown) =>
  html`<script type="application/json" id="${id}">${raw(jsonInMarkup(value, plainCounts))}</script>`;

/** A static page. */
async function stillAround(body: string, shop: BootShop, mark: StateMark | undefined, notes: unknown[]) {
  const { around, settings } = shop;
  const style = styleAddress([], settings.limits, false);
  return document(
    body,
    { ...around, title: around.shop.name, style, look: await lookOf(shop, [], false), stage: false, mark },
    [],
    notes,
  );
}

/** Id of the element behind all that is seen of a page. */
const endOfPage = "zt-end";

/**
 * Lets the first frame wait until the page is parsed: a browser that draws half of a header moves it when the rest
 * arrives. Source: HTML Living Standard, link type “expect”; other browsers ignore it.
 */
const drawnWhole = `<link rel="expect" href="#${endOfPage}" blocking="render" />`;

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
  foot: unknown[],
) {
  return html`<!doctype html>
<html lang="${language}" dir="${direction(language)}" ${stage ? raw("data-stage") : ""}>
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <title>${title}</title>
    <link rel="icon" href="data:," />
    ${look.font ? html`<link rel="preload" href="${look.font}" as="font" type="font/woff2" crossorigin />` : ""}
    ${raw(drawnWhole)}
    <link id="zt-style" rel="stylesheet" href="${style}" />
    <style id="zt-look">
      ${raw(look.css)}
    </style>
    ${head}
  </head>
  <body>
    <div id="zt-page">${raw(body)}</div>
    ${mark ? versionBadge(mark) : ""}
    <span id="${endOfPage}" hidden></span>
    ${foot}
  </body>
</html>`;
}

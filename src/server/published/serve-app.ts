import { Hono } from "hono";
import { compress } from "hono/compress";
import { HttpError } from "../http-error.ts";
import { shedLoad } from "../load-shedding.ts";
import { answerRoutes } from "../routes/answers.ts";
import { costsOf } from "../routes/cost.ts";
import type { FindPageSource } from "../routes/page-source.ts";
import { stateAsked } from "../routes/request.ts";
import { shopPages } from "../routes/shop-page.ts";
import { styles } from "../routes/style.ts";
import { pictureResponse } from "../routes/swatches.ts";
import { tellErrors } from "../routes/tell-errors.ts";
import { sameOrigin } from "../same-origin.ts";
import type { ServedCatalogues } from "../served-catalogue.ts";
import { serveFonts, serveShopFiles } from "../static-files.ts";
import { Catalogues } from "../store/catalogues.ts";
import { pictureType } from "../store/picture-of.ts";
import { storefrontAssets } from "../storefront-assets.ts";
import { toolHeaders } from "../tool-headers.ts";
import { Metrics } from "./metrics.ts";
import type { PublishedShops } from "./published-shops.ts";

/**
 * The server of a process without a database: the pages of published editions, their requests and files.
 * @param stops whether the process is about to end, so that a balancer leaves it out; default: no
 * @param catalogues where products are counted; default: in this process
 */
export function createServeApp(
  shops: PublishedShops,
  root: string,
  { stops = () => false, catalogues = new Catalogues() }: { stops?: () => boolean; catalogues?: ServedCatalogues } = {},
): Hono {
  const app = new Hono();
  const metrics = new Metrics();
  app.get("/healthz", (c) => c.json({ ok: !stops(), shops: shops.state }, stops() ? 503 : 200));
  app.get("/metrics", async (c) => {
    const { text, type } = await metrics.text(shops.state);
    return c.body(text, 200, { "content-type": type });
  });
  app.use(metrics.measure);
  app.use(sameOrigin);
  app.use(compress());
  app.use("/api/*", toolHeaders);
  const line = shedLoad();
  for (const heavy of ["/shop/*", "/edition/*", "/api/shops/:shop/*"]) app.use(heavy, line);
  const find: FindPageSource = async (of, slug, number) => {
    const newest = shops.source(slug);
    const place = encodeURIComponent(slug);
    if (of === "shoppers") return { source: newest, base: `/shop/${place}`, mark: undefined };
    const source = shops.source(slug, Number(number));
    const link = { href: `/shop/${place}/`, link: "What shoppers see" };
    const mark = source.state === newest.state ? undefined : { words: `Edition ${number}`, ...link };
    return { source, base: `/edition/${place}/${number}`, mark };
  };
  const pages = { find, catalogues, assets: storefrontAssets(root), keeps: true, far: undefined };
  app.route("/shop", shopPages({ ...pages, of: "shoppers" }));
  app.route("/edition", shopPages({ ...pages, of: "edition" }));
  app.route(
    "/api",
    answerRoutes({
      find: async (c) => {
        const state = stateAsked(c);
        if (typeof state !== "number")
          throw new HttpError(404, "Only published editions are served here: add ?edition= with a number.");
        return shops.source(c.req.param("shop") ?? "", state);
      },
      catalogues,
      keeps: true,
      costs: costsOf(),
      far: undefined,
    }),
  );
  app.get("/pictures/:shop/:name", (c) => {
    const name = c.req.param("name");
    const bytes = shops.picture(c.req.param("shop"), name);
    const type = pictureType(name);
    return bytes && type ? pictureResponse({ bytes, type }) : c.notFound();
  });
  app.route("/storefront", styles());
  serveFonts(app);
  serveShopFiles(app, root);
  tellErrors(app);
  return app;
}

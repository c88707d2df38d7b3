import { Hono } from "hono";
import { shopChange } from "../../core/api/shop.ts";
import { limits } from "../../core/sanitize/limits.ts";
import { HttpError } from "../http-error.ts";
import { changeShop, removedShops, removeShop, restoreShop, retentionDays } from "../store/removal.ts";
import { listShops, shopSummaryOf } from "../store/shops.ts";
import { answerRoutes } from "./answers.ts";
import { asFault } from "./as-fault.ts";
import { type CatalogueOptions, catalogueRoutes } from "./catalogue.ts";
import { documentRoutes } from "./documents.ts";
import { editionRoutes } from "./editions.ts";
import { folderRoutes } from "./folders.ts";
import { handoffRoutes, type StandIn } from "./handoff.ts";
import type { Offload } from "./offload.ts";
import { overviewRoutes } from "./overview.ts";
import { previewRoutes } from "./previews.ts";
import { bodyOf, limit, parsedBody, shopOf, sourceFor } from "./request.ts";
import { swatchRoutes } from "./swatches.ts";
import { visitRoutes } from "./visits.ts";

export interface ApiOptions extends CatalogueOptions {
  standIn: StandIn;
  /** Whether answers are cached. */
  keeps: boolean;
  /** Threads for the engine; in this thread if absent. */
  far: Offload | undefined;
  /** Makes a shop's pages quick, after a new edition. */
  warm(shop: string): Promise<void>;
}

/** Shops, catalogues and documents as JSON. */
export function api(options: ApiOptions): Hono {
  const { fork, catalogues, standIn, readers, keeps, costs, far } = options;
  const { light } = costs;
  const app = new Hono();
  app.route("/", answerRoutes({ find: (c) => sourceFor(fork(), c), catalogues, keeps, costs, far }));
  app.route("/", catalogueRoutes(options));
  app.route("/", documentRoutes(fork, catalogues, costs));
  app.route("/", swatchRoutes(fork, catalogues, readers, costs));
  app.route("/", editionRoutes(fork, catalogues, costs, options.warm));
  app.route("/", folderRoutes(fork, readers, costs));
  app.route("/", handoffRoutes(fork, standIn, costs));
  app.route("/", overviewRoutes(fork, catalogues, costs));
  app.route("/", previewRoutes(fork, costs));
  app.route("/", visitRoutes(fork, costs));

  app.get("/shops", async (c) => {
    const em = fork();
    const shops = await listShops(em);
    return c.json(await Promise.all(shops.map((shop) => shopSummaryOf(em, shop))));
  });

  app.get("/shops/:shop", light, async (c) => {
    const em = fork();
    return c.json(await shopSummaryOf(em, await shopOf(em, c.req.param("shop"))));
  });

  app.put("/shops/:shop", limit(limits.document), async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    const { name, currency } = parsedBody(shopChange, await bodyOf(c.req.raw));
    await changeShop(em, shop, { ...(name ? { name } : {}), ...(currency ? { currency } : {}) });
    catalogues.forget(shop);
    return c.json(await shopSummaryOf(em, await shopOf(em, shop.slug)));
  });

  app.delete("/shops/:shop", async (c) => {
    const em = fork();
    await removeShop(em, await shopOf(em, c.req.param("shop")));
    return c.json({ retentionDays });
  });

  app.post("/shops/:shop/restore", async (c) => {
    const em = fork();
    await restoreShop(em, c.req.param("shop"));
    return c.json(await shopSummaryOf(em, await shopOf(em, c.req.param("shop"))));
  });

  app.get("/removed", async (c) => c.json(await removedShops(fork())));

  app.all("*", (c) => {
    throw new HttpError(404, `There is nothing at ${c.req.path}. Check the address.`);
  });
  app.onError((error, c) => {
    const fault = asFault(error);
    return c.json({ error: fault.message, ...fault.detail }, fault.status);
  });
  return app;
}

import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Hono } from "hono";
import { publishing } from "../../core/api/edition.ts";
import type { ShopVersion } from "../../core/api/shop-version.ts";
import { type Checked, checkPages, checkPanels } from "../../core/report/check-shop.ts";
import { shopDifferences } from "../../core/report/shop-differences.ts";
import { limits } from "../../core/sanitize/limits.ts";
import { zipFolder } from "../../core/shop/archive/zip.ts";
import { editionFiles } from "../published/edition-folder.ts";
import type { Catalogues } from "../store/catalogues.ts";
import {
  editionAsFiles,
  listEditions,
  noEdition,
  publish,
  restoreEdition,
  sourceOfState,
  stateOf,
} from "../store/editions.ts";
import type { Costs } from "./cost.ts";
import { attachment, bodyOf, limit, parsedBody, shopOf, stateIn } from "./request.ts";

/** Editions of a shop: publishing, differences, and restoring. */
export function editionRoutes(
  fork: () => SqlEntityManager,
  catalogues: Catalogues,
  { light, quick, long }: Costs,
  warm: (shop: string) => Promise<void>,
): Hono {
  const app = new Hono();

  app.get("/shops/:shop/editions", light, async (c) => {
    const em = fork();
    return c.json(await listEditions(em, await shopOf(em, c.req.param("shop"))));
  });

  app.post("/shops/:shop/editions", limit(limits.document), async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    const { note } = parsedBody(publishing, await bodyOf(c.req.raw));
    const edition = await publish(em, shop, note);
    // It is announced once its pages are quick.
    await warm(shop.slug);
    return c.json(edition, 201);
  });

  // An edition as the files that `trellis serve` takes.
  app.get("/shops/:shop/editions/:n/files.zip", long, async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    const n = stateIn(c.req.param("n"));
    if (n === "draft") throw noEdition(0);
    const { manifest, contents } = await editionAsFiles(em, shop, n);
    const encoder = new TextEncoder();
    const files = editionFiles(manifest, contents).map(
      ([path, content]) => [path, typeof content === "string" ? encoder.encode(content) : content] as const,
    );
    return attachment(zipFolder(new Map(files)), "application/zip", `${shop.slug}-edition-${n}.zip`);
  });

  // The pages and panels of a state, for rehearsals.
  app.get("/shops/:shop/stand", quick, async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    const { pages, panels } = await stateOf(em, shop, stateIn(c.req.query("of")));
    return c.json({ pages, panels } satisfies ShopVersion);
  });

  // Changes between two versions, in words. Before the first edition everything is new.
  app.get("/shops/:shop/differences", quick, async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    const [from, to] = [stateIn(c.req.query("from")), stateIn(c.req.query("to"))];
    return c.json(shopDifferences(await stateOf(em, shop, from), await stateOf(em, shop, to)));
  });

  // Findings of panels and pages that one state has and the other doesn't, except those that need a browser.
  app.get("/shops/:shop/new-findings", long, async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    const [from, to] = [stateIn(c.req.query("from")), stateIn(c.req.query("to"))];
    const checked = async (which: number | "draft") => {
      const { facts } = await catalogues.get(await sourceOfState(em, shop, which));
      const whole = await stateOf(em, shop, which);
      return [...(await checkPanels(whole, facts)), ...(await checkPages(whole, undefined, facts))];
    };
    const nameOf = ({ page, words }: Checked) => `${page ?? ""} ${words}`;
    const told = new Set((await checked(from)).map(nameOf));
    const found = await checked(to);
    return c.json(found.filter((one) => !told.has(nameOf(one))));
  });

  app.post("/shops/:shop/editions/:n/restore", limit(limits.document), async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    const n = stateIn(c.req.param("n"));
    if (n === "draft") throw noEdition(0);
    await restoreEdition(em, shop, n);
    catalogues.forget(shop);
    return c.json(await listEditions(em, shop));
  });
  return app;
}

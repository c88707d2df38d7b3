import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Hono } from "hono";
import type { ShopOverview } from "../../core/api/overview.ts";
import { overviewOf } from "../../core/report/overview.ts";
import { shopDifferences } from "../../core/report/shop-differences.ts";
import type { Catalogues } from "../store/catalogues.ts";
import { stepsDone } from "../store/documents.ts";
import { draftOf } from "../store/draft-source.ts";
import { listEditions, stateOf } from "../store/editions.ts";
import { shopGround } from "../store/looks.ts";
import { countOpenNotes } from "../store/previews.ts";
import type { Costs } from "./cost.ts";
import { shopOf } from "./request.ts";

/** Progress of the work on a shop. */
export function overviewRoutes(fork: () => SqlEntityManager, catalogues: Catalogues, { quick }: Costs): Hono {
  const app = new Hono();
  app.get("/shops/:shop/overview", quick, async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    const source = draftOf(em, shop);
    const [whole, { facts, swatches }, ground] = await Promise.all([
      stateOf(em, shop, "draft"),
      catalogues.get(source),
      shopGround(source),
    ]);
    const [newest] = await listEditions(em, shop);
    const differences = newest ? shopDifferences(await stateOf(em, shop, newest.n), whole).length : 0;
    return c.json({
      ...(await overviewOf(whole, facts, await swatches.resolve(source, ground))),
      ...(newest ? { edition: { ...newest, differences } } : {}),
      notes: await countOpenNotes(em, shop),
      steps: await stepsDone(em, shop),
    } satisfies ShopOverview);
  });
  return app;
}

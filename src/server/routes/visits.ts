import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Hono } from "hono";
import { bodyLimit } from "hono/body-limit";
import { visitCollecting, visitFile, visitSources } from "../../core/api/visit-report.ts";
import { limits, limitText } from "../../core/sanitize/limits.ts";
import { HttpError } from "../http-error.ts";
import { Rate } from "../rate.ts";
import { collectVisits, eraseVisits, keepVisitFile, setVisitDays, visitState } from "../store/visits.ts";
import type { Costs } from "./cost.ts";
import { bodyOf, limit, parsedBody, shopOf } from "./request.ts";

/** Reports of visits, and what is collected. */
export function visitRoutes(fork: () => SqlEntityManager, { long }: Costs): Hono {
  const app = new Hono();
  app.get("/shops/:shop/visits", long, async (c) => {
    const em = fork();
    return c.json(await visitState(em, await shopOf(em, c.req.param("shop")), sourceIn(c.req.query("of"))));
  });

  app.put("/shops/:shop/visits", limit(limits.question), async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    const { days } = parsedBody(visitCollecting, await bodyOf(c.req.raw));
    await setVisitDays(em, shop, days);
    return c.json({ days });
  });

  app.put("/shops/:shop/visits/file", limit(limits.document), async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    await keepVisitFile(em, shop, parsedBody(visitFile, await bodyOf(c.req.raw)));
    return c.json({});
  });

  app.delete("/shops/:shop/visits", async (c) => {
    const em = fork();
    const source = sourceIn(c.req.query("of"));
    if (source === undefined)
      throw new HttpError(400, "Say which visits to erase: add ?of=collected or ?of=file to the address.");
    await eraseVisits(em, await shopOf(em, c.req.param("shop")), source);
    return c.json({});
  });
  return app;
}

const sourceIn = (text: string | undefined) => visitSources.find((one) => one === text);

/**
 * Takes in the lines that pages of any site send about visits. Beacons carry no cookies that matter here, and nothing is
 * read, so that other sites may post.
 */
export function visitsIntake(fork: () => SqlEntityManager): Hono {
  const app = new Hono();
  const rate = new Rate(limits.visitBatches.max);
  const tooLarge = bodyLimit({
    maxSize: limits.visitBatch.max,
    onError: (c) => c.text(`Send at most ${limitText(limits.visitBatch)} at once.`, 413),
  });
  app.post("/visits/:shop", tooLarge, async (c) => {
    // Before anything is read, so that a refusal costs nothing.
    if (!rate.takes(c.req.param("shop"))) return c.text("Too many visits at once. Send them again later.", 429);
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    await collectVisits(em, shop, await c.req.text());
    return c.body(null, 204);
  });
  return app;
}

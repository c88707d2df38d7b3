import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Hono } from "hono";
import { noteChange, previewChange, sentNote } from "../../core/api/preview.ts";
import { limits } from "../../core/sanitize/limits.ts";
import { HttpError } from "../http-error.ts";
import { Rate } from "../rate.ts";
import { addNote, changeNote, listPreviews, notesOn, setPreviewEnded, sharePreview } from "../store/previews.ts";
import { asFault } from "./as-fault.ts";
import type { Costs } from "./cost.ts";
import { bodyOf, limit, parsedBody, shopOf } from "./request.ts";

/** Sharing previews of a shop, and working through the notes on them. */
export function previewRoutes(fork: () => SqlEntityManager, { light }: Costs): Hono {
  const app = new Hono();
  app.get("/shops/:shop/previews", light, async (c) => {
    const em = fork();
    return c.json(await listPreviews(em, await shopOf(em, c.req.param("shop"))));
  });

  app.post("/shops/:shop/previews", limit(limits.question), async (c) => {
    const em = fork();
    return c.json(await sharePreview(em, await shopOf(em, c.req.param("shop"))), 201);
  });

  app.put("/shops/:shop/previews/:key", limit(limits.question), async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    const { ended } = parsedBody(previewChange, await bodyOf(c.req.raw));
    await setPreviewEnded(em, shop, c.req.param("key"), ended);
    return c.json({});
  });

  app.put("/shops/:shop/notes/:id", limit(limits.question), async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    await changeNote(em, shop, Number(c.req.param("id")), parsedBody(noteChange, await bodyOf(c.req.raw)));
    return c.json({});
  });
  return app;
}

/** Notes on a preview, for whoever knows its key. */
export function noteRoutes(fork: () => SqlEntityManager): Hono {
  const app = new Hono();
  const rate = new Rate(limits.notesAtOnce.max);
  app.get("/:key", async (c) =>
    c.json(await notesOn(fork(), c.req.param("key")), 200, { "cache-control": "no-store" }),
  );
  app.post("/:key", limit(limits.question), async (c) => {
    const key = c.req.param("key");
    if (!rate.takes(key)) throw new HttpError(429, "Too many notes at once. Wait ten seconds and try again.");
    return c.json(await addNote(fork(), key, parsedBody(sentNote, await bodyOf(c.req.raw))), 201);
  });
  app.onError((error, c) => {
    const { status, message, detail } = asFault(error);
    return c.json({ error: message, ...detail }, status);
  });
  return app;
}

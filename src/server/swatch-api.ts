import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Hono } from "hono";
import type { CatalogueIndex } from "../core/index/catalogue-index.ts";
import { type SwatchLine, writeSwatchCsv, writeTokens } from "../core/swatch/formats.ts";
import { checkBook } from "../core/swatch/schema.ts";
import type { SwatchBook } from "../core/swatch/view.ts";
import type { Catalogues } from "./catalogues.ts";
import { Fault } from "./fault.ts";
import { bodyOf, changedElsewhere, check, limit, maxJson, saving, shopOf } from "./request.ts";
import { saveBook } from "./shops.ts";
import { findPicture, keepPicture, maxPicture } from "./swatches.ts";

/** A shop's swatch book, its pictures, and what shoppers see of both. */
export function swatchApi(fork: () => SqlEntityManager, catalogues: Catalogues): Hono {
  const app = new Hono();

  app.get("/shops/:shop/swatches", async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    return c.json((await catalogues.get(em, shop)).swatches.resolve(shop));
  });

  app.get("/shops/:shop/book", async (c) => {
    const { book, bookVersion } = await shopOf(fork(), c.req.param("shop"));
    return c.json({ version: bookVersion, document: book });
  });

  app.put("/shops/:shop/book", limit(maxJson * 4), async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    const { version, document } = check(saving, await bodyOf(c.req.raw));
    const saved = await saveBook(em, shop, version, checkBook(document));
    if (saved === undefined) {
      const now = await shopOf(fork(), shop.slug);
      throw changedElsewhere("The swatch book was", { version: now.bookVersion, document: now.book });
    }
    return c.json({ version: saved });
  });

  app.post("/shops/:shop/pictures", limit(maxPicture), async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    const { file } = await c.req.parseBody();
    if (!(file instanceof File)) throw new Fault(400, "No picture came along. Choose one.");
    return c.json({ path: await keepPicture(em, shop, new Uint8Array(await file.arrayBuffer())) }, 201);
  });

  for (const [name, type, write] of [
    ["swatches.csv", "text/csv; charset=utf-8", writeSwatchCsv],
    ["swatches.tokens.json", "application/json", (lines: SwatchLine[]) => JSON.stringify(writeTokens(lines), null, 1)],
  ] as const) {
    app.get(`/shops/:shop/${name}`, async (c) => {
      const em = fork();
      const shop = await shopOf(em, c.req.param("shop") ?? "");
      const { engine, swatches } = await catalogues.get(em, shop);
      const lines = linesOf(engine.index, swatches.resolve(shop));
      return c.body(write(lines), 200, {
        "content-type": type,
        "content-disposition": `attachment; filename*=UTF-8''${encodeURIComponent(`${shop.slug}-${name}`)}`,
      });
    });
  }
  return app;
}

/** Every value that has a swatch, as shoppers see it. */
function linesOf(index: CatalogueIndex, resolved: SwatchBook): SwatchLine[] {
  return Object.entries(resolved).flatMap(([field, views]) =>
    index
      .options(field)
      .options.filter(({ id }) => views[id])
      .map(({ id, label }) => ({ field, name: label, entry: views[id] })),
  );
}

/** The pictures themselves: nothing in them may run, wherever they are opened. */
export function pictures(fork: () => SqlEntityManager): Hono {
  const app = new Hono();
  app.get("/:shop/:name", async (c) => {
    const em = fork();
    const picture = await findPicture(em, await shopOf(em, c.req.param("shop")), c.req.param("name"));
    if (!picture) throw new Fault(404, "There is no such picture in this shop.");
    return new Response(new Uint8Array(picture.bytes), {
      headers: {
        "content-type": picture.type,
        "content-security-policy": "default-src 'none'; style-src 'unsafe-inline'; sandbox",
        "x-content-type-options": "nosniff",
        "cache-control": "max-age=31536000, immutable",
      },
    });
  });
  app.onError((error, c) => c.text(error.message, error instanceof Fault ? error.status : 500));
  return app;
}

import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Hono } from "hono";
import type { CatalogueIndex } from "../../core/index/catalogue-index.ts";
import { type SwatchLine, writeSwatchCsv, writeTokens } from "../../core/swatch/formats.ts";
import type { SwatchBook } from "../../core/swatch/view.ts";
import { Fault } from "../fault.ts";
import type { Catalogues } from "../store/catalogues.ts";
import { shopGround } from "../store/looks.ts";
import { draftOf } from "../store/source.ts";
import { findPicture, keepPicture, maxPicture } from "../store/swatches.ts";
import { attachment, limit, shopRefOf } from "./request.ts";

/** What shoppers see of a shop's swatch book, and the pictures in it. */
export function swatchRoutes(fork: () => SqlEntityManager, catalogues: Catalogues): Hono {
  const app = new Hono();

  app.get("/shops/:shop/swatches", async (c) => {
    const em = fork();
    const source = draftOf(em, await shopRefOf(em, c.req.param("shop")));
    return c.json(await (await catalogues.get(source)).swatches.resolve(source, await shopGround(source)));
  });

  app.post("/shops/:shop/pictures", limit(maxPicture), async (c) => {
    const em = fork();
    const shop = await shopRefOf(em, c.req.param("shop"));
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
      const shop = await shopRefOf(em, c.req.param("shop") ?? "");
      const source = draftOf(em, shop);
      const { facts, swatches } = await catalogues.get(source);
      return attachment(
        write(linesOf(facts.index, await swatches.resolve(source, await shopGround(source)))),
        type,
        `${shop.slug}-${name}`,
      );
    });
  }
  return app;
}

/** Every value that has a swatch, as shoppers see it. */
function linesOf(index: CatalogueIndex, resolved: SwatchBook): SwatchLine[] {
  return Object.entries(resolved).flatMap(([field, views]) =>
    index.options(field).options.flatMap(({ id, label }) => {
      const view = Object.hasOwn(views, id) ? views[id] : undefined;
      if (!view) return [];
      const { colours, ...rest } = view;
      return [{ field, name: label, entry: { ...rest, ...(colours ? { colours: [...colours] } : {}) } }];
    }),
  );
}

/** The pictures themselves: nothing in them may run, wherever they are opened. */
export function pictures(fork: () => SqlEntityManager): Hono {
  const app = new Hono();
  app.get("/:shop/:name", async (c) => {
    const picture = await findPicture(fork(), c.req.param("shop"), c.req.param("name"));
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

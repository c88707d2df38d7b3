import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Hono } from "hono";
import { limits } from "../../core/sanitize/limits.ts";
import { type SwatchLine, writeSwatchCsv, writeTokens } from "../../core/swatch/formats.ts";
import { zipLines } from "../../core/swatch/list.ts";
import { HttpError } from "../http-error.ts";
import type { Catalogues } from "../store/catalogues.ts";
import { draftOf } from "../store/draft-source.ts";
import { shopGround } from "../store/looks.ts";
import { findPicture, keepPicture } from "../store/pictures.ts";
import type { Readers } from "../uploads.ts";
import type { Costs } from "./cost.ts";
import { attachment, limit, sentOf, shopRefOf } from "./request.ts";

/** The swatches of a shop for shoppers, and its pictures. */
export function swatchRoutes(
  fork: () => SqlEntityManager,
  catalogues: Catalogues,
  readers: Readers,
  { quick, long }: Costs,
): Hono {
  const app = new Hono();

  app.get("/shops/:shop/swatches", quick, async (c) => {
    const em = fork();
    const source = draftOf(em, await shopRefOf(em, c.req.param("shop")));
    return c.json(await (await catalogues.get(source)).swatches.resolve(source, await shopGround(source)));
  });

  app.post("/shops/:shop/pictures", limit(limits.picture), async (c) => {
    const em = fork();
    const shop = await shopRefOf(em, c.req.param("shop"));
    return c.json({ path: await keepPicture(em, shop, await readers.picture(await sentOf(c.req.raw))) }, 201);
  });

  const exports: readonly [name: string, type: string, write: (lines: SwatchLine[]) => string][] = [
    ["swatches.csv", "text/csv; charset=utf-8", writeSwatchCsv],
    ["swatches.tokens.json", "application/json", (lines) => JSON.stringify(writeTokens(lines), null, 1)],
  ];
  for (const [name, type, write] of exports) {
    app.get(`/shops/:shop/${name}`, long, async (c) => {
      const { slug, lines } = await listOf(c.req.param("shop") ?? "");
      return attachment(write(lines), type, `${slug}-${name}`);
    });
  }

  // With the pictures, each named by its value.
  app.get("/shops/:shop/swatches.zip", long, async (c) => {
    const { slug, lines } = await listOf(c.req.param("shop") ?? "");
    const pictures = new Map<string, Uint8Array>();
    for (const { entry } of lines) {
      const found = entry.picture && (await findPicture(fork(), slug, entry.picture.split("/").at(-1) ?? ""));
      if (entry.picture && found) pictures.set(entry.picture, new Uint8Array(found.bytes));
    }
    return attachment(zipLines(lines, pictures), "application/zip", `${slug}-swatches.zip`);
  });
  return app;

  /** Every swatch of a shop, given or guessed. */
  async function listOf(slug: string): Promise<{ slug: string; lines: SwatchLine[] }> {
    const em = fork();
    const shop = await shopRefOf(em, slug);
    const source = draftOf(em, shop);
    const { swatches } = await catalogues.get(source);
    return { slug: shop.slug, lines: await swatches.lines(source) };
  }
}

/** A picture as a response in which nothing can run, however it is opened. */
export const pictureResponse = ({ bytes, type }: { bytes: Uint8Array; type: string }): Response =>
  new Response(new Uint8Array(bytes), {
    headers: {
      "content-type": type,
      "content-security-policy": "default-src 'none'; style-src 'unsafe-inline'; sandbox",
      "x-content-type-options": "nosniff",
      "cache-control": "max-age=31536000, immutable",
    },
  });

/** The pictures of all shops. */
export function pictures(fork: () => SqlEntityManager): Hono {
  const app = new Hono();
  app.get("/:shop/:name", async (c) => {
    const picture = await findPicture(fork(), c.req.param("shop"), c.req.param("name"));
    if (!picture) throw new HttpError(404, "This shop doesn’t have this picture. Upload it again.");
    return pictureResponse(picture);
  });
  app.onError((error, c) => c.text(error.message, error instanceof HttpError ? error.status : 500));
  return app;
}

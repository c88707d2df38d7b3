import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Hono } from "hono";
import { limits } from "../../core/sanitize/limits.ts";
import { writeFolder } from "../../core/shop/archive/write-folder.ts";
import { zipFolder } from "../../core/shop/archive/zip.ts";
import { shopSummaryOf } from "../store/shops.ts";
import { createWhole, wholeShop } from "../store/whole-shops.ts";
import type { Readers } from "../uploads.ts";
import type { Costs } from "./cost.ts";
import { limit, sentOf, shopOf } from "./request.ts";

/** Export and import of a whole shop as a zip of its folder. */
export function folderRoutes(fork: () => SqlEntityManager, readers: Readers, { long }: Costs): Hono {
  const app = new Hono();

  app.get("/shops/:shop/folder.zip", long, async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    return new Response(zipFolder(writeFolder(await wholeShop(em, shop))), {
      headers: {
        "content-type": "application/zip",
        "content-disposition": `attachment; filename*=UTF-8''${encodeURIComponent(shop.slug)}.zip`,
      },
    });
  });

  app.post("/folders", limit(limits.upload), async (c) => {
    const { whole, catalogue, pictures } = await readers.shop(await sentOf(c.req.raw));
    const em = fork();
    return c.json(await shopSummaryOf(em, await createWhole(em, whole, catalogue, pictures)), 201);
  });
  return app;
}

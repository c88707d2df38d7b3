import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Hono } from "hono";
import { readFolder } from "../../core/folder/read-folder.ts";
import { FolderFault } from "../../core/folder/shop-files.ts";
import { writeFolder } from "../../core/folder/write-folder.ts";
import { unzipFolder, zipFolder } from "../../core/folder/zip.ts";
import { Fault } from "../fault.ts";
import { shopSummaryOf } from "../store/shops.ts";
import { createWhole, wholeShop } from "../store/whole-shops.ts";
import { maxUpload } from "./catalogue.ts";
import { limit, shopOf } from "./request.ts";

/** A whole shop as a zip of its folder, out and in. */
export function folderRoutes(fork: () => SqlEntityManager): Hono {
  const app = new Hono();

  app.get("/shops/:shop/folder.zip", async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    return new Response(zipFolder(writeFolder(await wholeShop(em, shop))), {
      headers: {
        "content-type": "application/zip",
        "content-disposition": `attachment; filename*=UTF-8''${encodeURIComponent(shop.slug)}.zip`,
      },
    });
  });

  app.post("/folders", limit(maxUpload), async (c) => {
    const em = fork();
    const { file } = await c.req.parseBody();
    if (!(file instanceof File)) throw new Fault(400, "No file came along. Choose a shop’s folder as a zip.");
    try {
      const whole = readFolder(unzipFolder(new Uint8Array(await file.arrayBuffer())));
      return c.json(await shopSummaryOf(em, await createWhole(em, whole)), 201);
    } catch (error) {
      if (error instanceof FolderFault) throw new Fault(422, error.message);
      throw error;
    }
  });
  return app;
}

import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Hono } from "hono";
import { mixed, object, string } from "yup";
import { CatalogueError, problemText } from "../core/catalogue/problem.ts";
import { InvalidDocument } from "../core/document/check.ts";
import { emptyPanel } from "../core/panel/document.ts";
import { checkPanel } from "../core/panel/schema.ts";
import { catalogueApi } from "./catalogue-api.ts";
import type { Catalogues } from "./catalogues.ts";
import { Fault } from "./fault.ts";
import { bodyOf, changedElsewhere, check, limit, maxJson, panelOf, panelView, saving, shopOf, shopView } from "./request.ts";
import { createPanel, findPanel, listShops, savePanel } from "./shops.ts";
import { swatchApi } from "./swatch-api.ts";

/** A new panel: an empty one with a name, or a whole document. */
const newPanel = object({ name: string().strict().trim().min(1, "Give the panel a name.").max(100), document: mixed() })
  .noUnknown()
  .strict()
  .test("either", "Send a name, or a document.", ({ name, document }) => (name === undefined) !== (document === undefined));

/** Shops, catalogues and panels as JSON. `fork` gives every request an entity manager of its own. */
export function api(fork: () => SqlEntityManager, catalogues: Catalogues): Hono {
  const app = new Hono();
  app.route("/", catalogueApi(fork, catalogues));
  app.route("/", swatchApi(fork, catalogues));

  app.get("/shops", async (c) => c.json((await listShops(fork())).map(shopView)));

  app.get("/shops/:shop", async (c) => c.json(shopView(await shopOf(fork(), c.req.param("shop")))));

  app.post("/shops/:shop/panels", limit(maxJson), async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    const { name, document } = check(newPanel, await bodyOf(c.req.raw));
    return c.json(panelView(await createPanel(em, shop, document === undefined ? emptyPanel(name ?? "") : checkPanel(document))), 201);
  });

  app.get("/shops/:shop/panels/:panel", async (c) => {
    const em = fork();
    const { panel } = await panelOf(em, c.req.param("shop"), c.req.param("panel"));
    return c.json({ ...panelView(panel), document: panel.document });
  });

  app.put("/shops/:shop/panels/:panel", limit(maxJson), async (c) => {
    const em = fork();
    const { panel } = await panelOf(em, c.req.param("shop"), c.req.param("panel"));
    const { version, document } = check(saving, await bodyOf(c.req.raw));
    const saved = await savePanel(em, panel, version, checkPanel(document));
    if (saved === undefined) {
      const now = await findPanel(fork(), await shopOf(em, c.req.param("shop")), c.req.param("panel"));
      throw changedElsewhere("This panel was", { version: now?.version, document: now?.document });
    }
    return c.json({ version: saved });
  });

  app.all("*", (c) => {
    throw new Fault(404, `There is nothing at ${c.req.path}.`);
  });
  app.onError((error, c) => {
    const fault = asFault(error);
    return c.json({ error: fault.message, ...fault.detail }, fault.status);
  });
  return app;
}

/** Known errors as an answer; anything else is logged and told without its inside. */
export function asFault(error: Error): Fault {
  if (error instanceof Fault) return error;
  if (error instanceof CatalogueError) return new Fault(422, problemText(error.problem), { problem: error.problem });
  if (error instanceof InvalidDocument) return new Fault(422, `This is not a valid ${error.what}: ${error.message}.`, { path: error.path });
  console.error(error);
  return new Fault(500, "Something went wrong on the server. Nothing was changed; try again.");
}

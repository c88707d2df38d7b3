import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Hono } from "hono";
import { bodyLimit } from "hono/body-limit";
import { mixed, number, object, string, ValidationError } from "yup";
import type { Catalogue } from "../core/catalogue/catalogue.ts";
import { compareCatalogues } from "../core/catalogue/compare.ts";
import { type Field, knownColumns } from "../core/catalogue/field.ts";
import { writeJsonLd } from "../core/catalogue/json-ld.ts";
import { CatalogueError, problemText } from "../core/catalogue/problem.ts";
import { type Mapping, type ReadResult, readCatalogue } from "../core/catalogue/read.ts";
import { writeCsv } from "../core/catalogue/write-csv.ts";
import { summariseChange } from "../core/evidence/change-summary.ts";
import { importEffects } from "../core/evidence/import-effects.ts";
import { emptyPanel } from "../core/panel/document.ts";
import { checkPanel, InvalidPanel } from "../core/panel/schema.ts";
import type { Catalogues } from "./catalogues.ts";
import type { Panel, Shop } from "./entities.ts";
import { Fault, noPanel, noShop } from "./fault.ts";
import { createPanel, createShop, findPanel, findShop, listShops, replaceCatalogue, savePanel } from "./shops.ts";

/** Largest catalogue file that can be uploaded, in bytes. */
export const maxUpload = 20 * 1024 * 1024;
const maxJson = 2 * 1024 * 1024;

/** The ways a catalogue leaves the tool. */
const exports: readonly [file: string, type: string, write: (catalogue: Catalogue, currency: string) => string][] = [
  ["catalogue.csv", "text/csv; charset=utf-8", (catalogue) => writeCsv(catalogue)],
  ["catalogue.jsonld", "application/ld+json", (catalogue, currency) => JSON.stringify(writeJsonLd(catalogue, currency), null, 1)],
];

const limit = (bytes: number) =>
  bodyLimit({
    maxSize: bytes,
    onError: () => {
      throw new Fault(
        413,
        `This is more than ${Math.round(bytes / 1024 / 1024)} MB, the most that can be sent. Split the file, or leave columns out.`,
      );
    },
  });

const shopName = string()
  .strict()
  .trim()
  .min(1, "Give the shop a name.")
  .max(100, "The name has more than 100 characters. Shorten it.")
  .required("Give the shop a name.");
const currency = string()
  .matches(/^[A-Z]{3}$/, "The currency is not a code like EUR or USD.")
  .test("known", "The currency is not a code like EUR or USD.", (code) => code !== undefined && Intl.supportedValuesOf("currency").includes(code))
  .required();
const saving = object({ version: number().strict().integer().min(1).required(), document: mixed().required() })
  .noUnknown()
  .strict();
const naming = object({ name: shopName }).noUnknown().strict();

/** Shops and panels as JSON. `fork` gives every request an entity manager of its own. */
export function api(fork: () => SqlEntityManager, catalogues: Catalogues): Hono {
  const app = new Hono();

  app.get("/shops", async (c) => c.json((await listShops(fork())).map(shopView)));

  app.post("/shops", limit(maxUpload + 64 * 1024), async (c) => {
    const form = await c.req.parseBody();
    const read = await readUpload(form);
    const name = check(shopName, form.name);
    const code = check(currency, form.currency);
    const shop = await createShop(fork(), { name, currency: code, read });
    return c.json(shopView(shop), 201);
  });

  app.get("/shops/:shop", async (c) => c.json(shopView(await shopOf(fork(), c.req.param("shop")))));

  app.get("/shops/:shop/data", async (c) => {
    const em = fork();
    const { json } = await catalogues.get(em, await shopOf(em, c.req.param("shop")));
    return c.body(json, 200, { "content-type": "application/json" });
  });

  app.post("/shops/:shop/catalogue", limit(maxUpload + 64 * 1024), async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    const form = await c.req.parseBody();
    const read = await readUpload(form, shop.fields);
    if (form.write === "yes") {
      await replaceCatalogue(em, shop, read);
      catalogues.forget(shop);
      return c.json(shopView(await shopOf(fork(), shop.slug)));
    }
    const { engine } = await catalogues.get(em, shop);
    const change = compareCatalogues(engine.index.catalogue, read.catalogue);
    const effects = importEffects(
      change,
      shop.panels.getItems().map(({ document }) => document),
    );
    return c.json(summariseChange(change, effects));
  });

  for (const [format, type, write] of exports) {
    app.get(`/shops/:shop/${format}`, async (c) => {
      const em = fork();
      const shop = await shopOf(em, c.req.param("shop") ?? "");
      const { engine } = await catalogues.get(em, shop);
      const name = `${shop.slug}.${format.split(".")[1]}`;
      return c.body(write(engine.index.catalogue, shop.currency), 200, {
        "content-type": type,
        "content-disposition": `attachment; filename*=UTF-8''${encodeURIComponent(name)}`,
      });
    });
  }

  app.post("/shops/:shop/panels", limit(maxJson), async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    const { name } = check(naming, await bodyOf(c.req.raw));
    return c.json(panelView(await createPanel(em, shop, emptyPanel(name))), 201);
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
      throw new Fault(409, "This panel was changed elsewhere since you opened it. Take the other version, or put yours over it.", {
        version: now?.version,
        document: now?.document,
      });
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
  if (error instanceof InvalidPanel) return new Fault(422, `This is not a valid panel: ${error.message}.`, { path: error.path });
  console.error(error);
  return new Fault(500, "Something went wrong on the server. Nothing was changed; try again.");
}

async function shopOf(em: SqlEntityManager, slug: string) {
  const shop = await findShop(em, slug);
  if (!shop) throw noShop(slug);
  return shop;
}

async function panelOf(em: SqlEntityManager, shopSlug: string, slug: string): Promise<{ shop: Shop; panel: Panel }> {
  const shop = await shopOf(em, shopSlug);
  const panel = await findPanel(em, shop, slug);
  if (!panel) throw noPanel(slug);
  return { shop, panel };
}

async function bodyOf(request: Request): Promise<unknown> {
  if (!request.headers.get("content-type")?.startsWith("application/json"))
    throw new Fault(415, "Send JSON, with the content type application/json.");
  try {
    return await request.json();
  } catch {
    throw new Fault(400, "The request is not valid JSON.");
  }
}

interface Check<T> {
  validateSync(value: unknown): T;
}

function check<T>(schema: Check<T>, value: unknown): T {
  try {
    return schema.validateSync(value);
  } catch (error) {
    if (error instanceof ValidationError) throw new Fault(400, error.message, { path: error.path });
    throw error;
  }
}

/** The catalogue file of a form. @throws Fault, CatalogueError */
async function readUpload(form: Record<string, unknown>, known: readonly Field[] = []): Promise<ReadResult> {
  const { file } = form;
  if (!(file instanceof File)) throw new Fault(400, "No file came along. Choose a catalogue file.");
  if (file.size > maxUpload) throw new Fault(413, "The file is larger than 20 MB. Split it, or leave columns out.");
  return readCatalogue(new Uint8Array(await file.arrayBuffer()), { mapping: readMapping(form.mapping), known });
}

function readMapping(text: unknown): Mapping | undefined {
  if (text === undefined || text === "") return undefined;
  const wrong = new Fault(400, "The column mapping is not a list of column names.");
  let list: unknown;
  try {
    list = JSON.parse(String(text));
  } catch {
    throw wrong;
  }
  const allowed: readonly unknown[] = [...knownColumns, "attribute", "skip"];
  if (!Array.isArray(list) || !list.every((one) => allowed.includes(one))) throw wrong;
  return list as Mapping;
}

const panelView = ({ slug, version, document }: Panel) => ({ slug, name: document.name, version });

const shopView = (shop: Shop) => ({
  slug: shop.slug,
  name: shop.name,
  currency: shop.currency,
  products: shop.productCount,
  variants: shop.variantCount,
  panels: shop.panels.getItems().map(panelView),
});

import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Hono } from "hono";
import { array, mixed, number, object, string } from "yup";
import { BinaryError, decodeCatalogue, looksBinary } from "../core/catalogue/binary.ts";
import type { Catalogue } from "../core/catalogue/catalogue.ts";
import { compareCatalogues } from "../core/catalogue/compare.ts";
import { type Field, fieldKinds, knownColumns } from "../core/catalogue/field.ts";
import { identity } from "../core/catalogue/identity.ts";
import { writeJsonLd } from "../core/catalogue/json-ld.ts";
import { readCatalogue } from "../core/catalogue/read.ts";
import { dateOrders, decimalMarks, separators } from "../core/catalogue/reading.ts";
import { writeCsv } from "../core/catalogue/write-csv.ts";
import { checkDocument, exact } from "../core/document/check.ts";
import { summariseChange } from "../core/evidence/change-summary.ts";
import { importEffects } from "../core/evidence/import-effects.ts";
import { jsonAnswer, type WireQuestion } from "../core/match/remote-engine.ts";
import { modes } from "../core/match/selection.ts";
import { applyMends } from "../core/mend/apply.ts";
import { checkMends } from "../core/mend/schema.ts";
import { guessByName } from "../core/swatch/name-guess.ts";
import { viewOf } from "../core/swatch/view.ts";
import type { Catalogues } from "./catalogues.ts";
import type { RememberedReading } from "./entities.ts";
import { Fault } from "./fault.ts";
import { bodyOf, changedElsewhere, check, limit, maxJson, saving, shopOf, shopView } from "./request.ts";
import { createShop, type Import, loadBytes, replaceCatalogue, saveMends } from "./shops.ts";

/** Largest catalogue file that can be uploaded, in bytes. */
export const maxUpload = 256 * 1024 * 1024;
const maxQuestion = 256 * 1024;

/** The ways a catalogue leaves the tool; with its mends done. */
const exports: readonly [file: string, type: string, write: (catalogue: Catalogue, currency: string) => string][] = [
  ["catalogue.csv", "text/csv; charset=utf-8", (catalogue) => writeCsv(catalogue)],
  ["catalogue.jsonld", "application/ld+json", (catalogue, currency) => JSON.stringify(writeJsonLd(catalogue, currency), null, 1)],
];

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
const reading = array()
  .of(
    exact({
      heading: string().strict().defined().max(500),
      as: string()
        .strict()
        .oneOf([...knownColumns, "attribute", "skip"])
        .required(),
      kind: string().strict().oneOf(fieldKinds),
      separator: string().strict().oneOf(separators),
      decimal: string().strict().oneOf(decimalMarks),
      dates: string().strict().oneOf(dateOrders),
    }),
  )
  .max(2000);
const range = exact({ min: number().strict(), max: number().strict() });
const question = object({
  facets: array()
    .of(
      object({
        field: string().strict().required(),
        mode: string().strict().oneOf(modes).required(),
        merges: array().of(object({ label: string().strict().required(), values: array().of(string().strict().required()).required() })),
        bands: array().of(range).max(50),
      }),
    )
    .max(200)
    .required(),
  selection: object({ text: string().strict().defined().max(1000), choices: mixed().test("choices", isChoices).required() }).required(),
  sort: string().strict().defined().max(1000),
  from: number().strict().integer().min(0).required(),
  size: number().strict().integer().min(0).max(500).required(),
  has: array().of(string().strict().required()).max(200).required(),
});

function isChoices(value: unknown): boolean {
  if (typeof value !== "object" || value === null) return false;
  return Object.values(value).every((choice) => {
    if (typeof choice !== "object" || choice === null) return false;
    if ("options" in choice) return Array.isArray(choice.options) && choice.options.every((id: unknown) => typeof id === "string");
    return Object.values(choice).every((end) => end === undefined || end === null || typeof end === "number");
  });
}

/** What comes and goes with a shop's catalogue. */
export function catalogueApi(fork: () => SqlEntityManager, catalogues: Catalogues): Hono {
  const app = new Hono();

  app.post("/shops", limit(maxUpload), async (c) => {
    const form = await c.req.parseBody();
    const brought = await readUpload(form);
    const name = check(shopName, form.name);
    const code = check(currency, form.currency);
    return c.json(shopView(await createShop(fork(), { name, currency: code, ...brought })), 201);
  });

  // What storefronts count on: mends done, and only the fields that panels and cards need.
  app.get("/shops/:shop/data", async (c) => {
    const em = fork();
    const { data } = await catalogues.get(em, await shopOf(em, c.req.param("shop")));
    return binary(data());
  });

  // What the tool works on: the catalogue as it was imported.
  app.get("/shops/:shop/source", async (c) => {
    const em = fork();
    return binary(await loadBytes(em, await shopOf(em, c.req.param("shop"))));
  });

  app.post("/shops/:shop/ask", limit(maxQuestion), async (c) => {
    const em = fork();
    const { engine } = await catalogues.get(em, await shopOf(em, c.req.param("shop")));
    const asked = check(question, await bodyOf(c.req.raw)) as WireQuestion;
    const has = new Set(asked.has);
    return c.body(jsonAnswer(engine.answer(asked, (name) => has.has(name))), 200, { "content-type": "application/json" });
  });

  app.post("/shops/:shop/catalogue", limit(maxUpload), async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    const form = await c.req.parseBody();
    const brought = await readUpload(form, shop.fields);
    if (form.write === "yes") {
      await replaceCatalogue(em, shop, brought);
      catalogues.forget(shop);
      return c.json(shopView(await shopOf(fork(), shop.slug)));
    }
    // Compared as shoppers would meet them: what is mended already is no change.
    const { engine } = await catalogues.get(em, shop);
    const change = compareCatalogues(engine.index.catalogue, applyMends(brought.catalogue, shop.mends.mends));
    const effects = importEffects(
      change,
      shop.panels.getItems().map(({ document }) => document),
      (field, value) => viewOf(shop.book, field, identity(value), guessByName(value)).source !== "text",
    );
    return c.json(summariseChange(change, effects));
  });

  app.get("/shops/:shop/mends", async (c) => {
    const { mends, mendVersion } = await shopOf(fork(), c.req.param("shop"));
    return c.json({ version: mendVersion, document: mends });
  });

  app.put("/shops/:shop/mends", limit(maxJson * 4), async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    const { version, document } = check(saving, await bodyOf(c.req.raw));
    const saved = await saveMends(em, shop, version, checkMends(document));
    if (saved === undefined) {
      const now = await shopOf(fork(), shop.slug);
      throw changedElsewhere("The list of mends was", { version: now.mendVersion, document: now.mends });
    }
    catalogues.forget(shop);
    return c.json({ version: saved });
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
  return app;
}

const binary = (bytes: Uint8Array) =>
  new Response(bytes as Uint8Array<ArrayBuffer>, { headers: { "content-type": "application/octet-stream", "cache-control": "no-cache" } });

/** The catalogue of a form: a file of any known format, or one that the tool has read and packed already. @throws Fault, CatalogueError */
async function readUpload(form: Record<string, unknown>, known: readonly Field[] = []): Promise<Import> {
  const { file } = form;
  if (!(file instanceof File)) throw new Fault(400, "No file came along. Choose a catalogue file.");
  const bytes = new Uint8Array(await file.arrayBuffer());
  const columns = readReading(form.reading);
  if (!looksBinary(bytes)) return { catalogue: readCatalogue(bytes, { reading: columns, known }).catalogue, reading: columns };
  try {
    return { catalogue: decodeCatalogue(bytes), bytes, reading: columns };
  } catch (error) {
    if (error instanceof BinaryError) throw new Fault(422, error.message);
    throw error;
  }
}

function readReading(text: unknown): RememberedReading[] | undefined {
  if (text === undefined || text === "") return undefined;
  try {
    return checkDocument<RememberedReading[]>("reading of columns", reading, JSON.parse(String(text)));
  } catch {
    throw new Fault(400, "The reading of the columns is not a list of how each column is read.");
  }
}

import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Hono } from "hono";
import { BinaryError, decodeCatalogue, looksBinary } from "../../core/catalogue/binary.ts";
import type { Catalogue } from "../../core/catalogue/catalogue.ts";
import { compareCatalogues } from "../../core/catalogue/compare.ts";
import type { Field } from "../../core/catalogue/field.ts";
import { identity } from "../../core/catalogue/identity.ts";
import { writeJsonLd } from "../../core/catalogue/json-ld.ts";
import { readCatalogue } from "../../core/catalogue/read.ts";
import { type RememberedReading, rememberedReadings } from "../../core/catalogue/reading-schema.ts";
import { writeCsv } from "../../core/catalogue/write-csv.ts";
import { summariseChange } from "../../core/change/change-summary.ts";
import { importEffects } from "../../core/change/import-effects.ts";
import { renamedFields } from "../../core/change/renamed-fields.ts";
import { wireQuestion } from "../../core/match/question.ts";
import { jsonAnswer } from "../../core/match/remote-engine.ts";
import { applyMends } from "../../core/mend/apply.ts";
import { mendsKind } from "../../core/mend/kind.ts";
import { pagesKind } from "../../core/page/kind.ts";
import { shopAddress } from "../../core/page/page-list.ts";
import { shownPage } from "../../core/page/shown-page.ts";
import { suggestionsFor } from "../../core/page/suggestions.ts";
import { panelKind } from "../../core/panel/kind.ts";
import { swatchesKind } from "../../core/swatch/kind.ts";
import { guessByName } from "../../core/swatch/name-guess.ts";
import { viewOf } from "../../core/swatch/view.ts";
import { shopCurrency, shopName } from "../../core/wire/shop.ts";
import { Fault } from "../fault.ts";
import type { Catalogues } from "../store/catalogues.ts";
import { listDocuments, readDocument } from "../store/documents.ts";
import { createShop, type Import, loadBytes, replaceCatalogue, shopSummaryOf } from "../store/shops.ts";
import { draftOf, type ShopHead } from "../store/source.ts";
import { attachment, bodyOf, check, limit, shopOf, shopRefOf, sourceFor } from "./request.ts";

/** Largest catalogue file that can be uploaded, in bytes. */
export const maxUpload = 256 * 1024 * 1024;
const maxQuestion = 256 * 1024;

/** The ways a catalogue leaves the tool; with its mends done. */
const exports: readonly [file: string, type: string, write: (catalogue: Catalogue, currency: string) => string][] = [
  ["catalogue.csv", "text/csv; charset=utf-8", (catalogue) => writeCsv(catalogue)],
  [
    "catalogue.jsonld",
    "application/ld+json",
    (catalogue, currency) => JSON.stringify(writeJsonLd(catalogue, currency), null, 1),
  ],
];

/** What comes and goes with a shop's catalogue. */
export function catalogueRoutes(fork: () => SqlEntityManager, catalogues: Catalogues): Hono {
  const app = new Hono();

  app.post("/shops", limit(maxUpload), async (c) => {
    const em = fork();
    const form = await c.req.parseBody();
    const brought = await readUpload(form);
    const shop = await createShop(em, {
      name: check(shopName, form.name),
      currency: check(shopCurrency, form.currency),
      ...brought,
    });
    return c.json(await shopSummaryOf(em, shop), 201);
  });

  // What storefronts count on: mends done, and only the fields that panels and cards need.
  app.get("/shops/:shop/data", async (c) => {
    const { data } = await catalogues.get(await sourceFor(fork(), c));
    return binary(data(c.req.query("text") !== undefined));
  });

  // What is offered while somebody types into the shop's search.
  app.get("/shops/:shop/suggest", async (c) => {
    const source = await sourceFor(fork(), c);
    const { facts } = await catalogues.get(source);
    const pages = (await source.read(pagesKind))?.document ?? pagesKind.fresh("");
    const { layout } = shownPage(shopAddress, pages, facts.pageFacts(), await source.first(panelKind)) ?? {
      layout: { panels: [] },
    };
    const panels = await Promise.all(layout.panels.map(({ panel }) => source.read(panelKind, panel)));
    const asked = (c.req.query("q") ?? "").slice(0, 200);
    return c.json(
      await suggestionsFor(
        facts,
        pages,
        panels.flatMap((one) => one?.document ?? []),
        asked,
      ),
    );
  });

  // What the tool works on: the catalogue as it was imported.
  app.get("/shops/:shop/source", async (c) => {
    const em = fork();
    return binary(await loadBytes(em, await shopRefOf(em, c.req.param("shop"))));
  });

  app.post("/shops/:shop/ask", limit(maxQuestion), async (c) => {
    const { facts } = await catalogues.get(await sourceFor(fork(), c));
    const { has, ...question } = check(wireQuestion, await bodyOf(c.req.raw));
    const known = new Set(has);
    return c.body(jsonAnswer(facts.engine.answer(question, (name) => known.has(name))), 200, {
      "content-type": "application/json",
    });
  });

  app.post("/shops/:shop/catalogue", limit(maxUpload), async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    const form = await c.req.parseBody();
    const brought = await readUpload(form, shop.fields);
    if (form.write !== "yes") return c.json(await changeOf(em, shop, brought.catalogue));
    await replaceCatalogue(em, shop, brought);
    catalogues.forget(shop);
    return c.json(await shopSummaryOf(em, await shopOf(em, shop.slug)));
  });

  /** What another catalogue would change, as shoppers would meet it: what is mended already is no change. */
  async function changeOf(em: SqlEntityManager, shop: ShopHead, next: Catalogue) {
    const { facts } = await catalogues.get(draftOf(em, shop));
    const mends = await readDocument(em, shop, mendsKind);
    const book = await readDocument(em, shop, swatchesKind);
    const summaries = await listDocuments(em, shop, panelKind);
    const panels = await Promise.all(summaries.map(({ slug }) => readDocument(em, shop, panelKind, slug)));
    const change = compareCatalogues(facts.index.catalogue, applyMends(next, mends?.document.mends ?? []));
    const effects = importEffects(
      change,
      panels.flatMap((panel) => panel?.document ?? []),
      (field, value) =>
        book !== undefined && viewOf(book.document, field, identity(value), guessByName(value)).source !== "text",
    );
    return summariseChange(change, effects, renamedFields(facts.index.catalogue, next));
  }

  for (const [format, type, write] of exports) {
    app.get(`/shops/:shop/${format}`, async (c) => {
      const em = fork();
      const shop = await shopRefOf(em, c.req.param("shop") ?? "");
      const { facts } = await catalogues.get(draftOf(em, shop));
      return attachment(write(facts.index.catalogue, shop.currency), type, `${shop.slug}.${format.split(".")[1]}`);
    });
  }
  return app;
}

const binary = (bytes: Uint8Array) =>
  new Response(bytes as Uint8Array<ArrayBuffer>, {
    headers: { "content-type": "application/octet-stream", "cache-control": "no-cache" },
  });

/** The catalogue of a form: a file of any known format, or one that the tool has read and packed already. @throws Fault, CatalogueError */
async function readUpload(form: Record<string, unknown>, known: readonly Field[] = []): Promise<Import> {
  const { file } = form;
  if (!(file instanceof File)) throw new Fault(400, "No file came along. Choose a catalogue file.");
  const bytes = new Uint8Array(await file.arrayBuffer());
  const reading = readReading(form.reading);
  const remembered = reading ? { reading } : {};
  if (!looksBinary(bytes))
    return { catalogue: readCatalogue(bytes, { ...remembered, known }).catalogue, ...remembered };
  try {
    return { catalogue: decodeCatalogue(bytes), bytes, ...remembered };
  } catch (error) {
    if (error instanceof BinaryError) throw new Fault(422, error.message);
    throw error;
  }
}

function readReading(text: unknown): RememberedReading[] | undefined {
  if (text === undefined || text === "") return undefined;
  try {
    return rememberedReadings.validateSync(JSON.parse(String(text)));
  } catch {
    throw new Fault(400, "The reading of the columns is not a list of how each column is read.");
  }
}

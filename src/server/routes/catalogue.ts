import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Hono } from "hono";
import { shopCurrency, shopName } from "../../core/api/shop.ts";
import type { Catalogue } from "../../core/catalogue/catalogue.ts";
import { writeJsonLd } from "../../core/catalogue/json-ld.ts";
import { writeCsv } from "../../core/catalogue/write-csv.ts";
import { wireQuestion } from "../../core/engine/question.ts";
import { jsonAnswer } from "../../core/engine/remote-engine.ts";
import { pagesKind } from "../../core/page/kind.ts";
import { shopAddress } from "../../core/page/page-list.ts";
import { shownPage } from "../../core/page/shown-page.ts";
import { suggestionsFor } from "../../core/page/suggestions.ts";
import { panelKind } from "../../core/panel/kind.ts";
import { limits } from "../../core/sanitize/limits.ts";
import { audienceOf, cacheKey } from "../cache-key.ts";
import { CompressedBody } from "../compressed-body.ts";
import { hashOf } from "../hash.ts";
import { type RenderedResponse, ResponseCache } from "../response-cache.ts";
import type { Catalogues, LoadedCatalogue } from "../store/catalogues.ts";
import { draftOf } from "../store/draft-source.ts";
import { listImports, replaceCatalogue, revertImport } from "../store/imports.ts";
import { createShop, loadBytes, shopSummaryOf } from "../store/shops.ts";
import { WriteScopedCache } from "../store/write-scoped-cache.ts";
import type { Readers } from "../uploads.ts";
import type { Costs } from "./cost.ts";
import { type Offload, renderedOf } from "./offload.ts";
import {
  attachment,
  jsonOf,
  limit,
  parsedBody,
  sentOf,
  shopOf,
  shopRefOf,
  sourceFor,
  stateAsked,
  textOf,
} from "./request.ts";

/** The download formats of a catalogue, with its corrections applied. */
const exports: readonly [file: string, type: string, write: (catalogue: Catalogue, currency: string) => string][] = [
  ["catalogue.csv", "text/csv; charset=utf-8", (catalogue) => writeCsv(catalogue, true)],
  [
    "catalogue.jsonld",
    "application/ld+json",
    (catalogue, currency) => JSON.stringify(writeJsonLd(catalogue, currency), null, 1),
  ],
];

export interface CatalogueOptions {
  /** Gives every request an entity manager of its own. */
  fork: () => SqlEntityManager;
  catalogues: Catalogues;
  readers: Readers;
  keeps: boolean;
  costs: Costs;
  /** Threads for the engine; in this thread if absent. */
  far: Offload | undefined;
}

/** Imports and downloads of a shop's catalogue. */
export function catalogueRoutes({ fork, catalogues, readers, keeps, far, costs }: CatalogueOptions): Hono {
  const { light, quick, long } = costs;
  const app = new Hono();
  const kept = new ResponseCache();
  const loaded = new WriteScopedCache<LoadedCatalogue>();
  const sources = new WriteScopedCache<string>();

  app.post("/shops", limit(limits.upload), async (c) => {
    const em = fork();
    const { name, currency, catalogue, first } = await readers.catalogue(await sentOf(c.req.raw));
    const shop = await createShop(em, {
      name: parsedBody(shopName, name),
      currency: parsedBody(shopCurrency, currency),
      panels: first ? [first] : [],
      ...catalogue,
    });
    return c.json(await shopSummaryOf(em, shop), 201);
  });

  // The catalogue for storefronts: with corrections, and only the fields that panels and cards need.
  app.get("/shops/:shop/data", quick, async (c) => {
    const { data } = await catalogues.get(await sourceFor(fork(), c));
    const only = c.req.query("only")?.split(",", 2000);
    return data({ text: c.req.query("text") !== undefined, only }).answer(c.req.raw, binaryType, "no-cache");
  });

  // Suggestions while somebody types into the shop's search.
  app.get("/shops/:shop/suggest", quick, async (c) => {
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

  // The catalogue for the tool, as imported.
  app.get("/shops/:shop/source", light, async (c) => {
    const em = fork();
    return binary(await loadBytes(em, await shopRefOf(em, c.req.param("shop"))));
  });

  app.post("/shops/:shop/ask", limit(limits.question), async (c) => {
    const state = stateAsked(c);
    const [who, shop] = [audienceOf(state), c.req.param("shop")];
    const of = cacheKey(who, "source", catalogues.forgotten, shop, JSON.stringify(state));
    const answer = async (sent: string): Promise<RenderedResponse> => {
      const { facts } = await loaded.get(of, async () => catalogues.get(await sourceFor(fork(), c)));
      const { has, ...question } = parsedBody(wireQuestion, jsonOf(sent));
      const there = new Set(has);
      return { status: 200, text: jsonAnswer(facts.engine.answer(question, (one) => there.has(one))) };
    };
    if (!keeps) return c.body((await answer(await textOf(c.req.raw))).text, 200, answerHeaders);
    const key = await sources.get(of, async () => (await sourceFor(fork(), c)).key);
    const sent = await textOf(c.req.raw.clone());
    // The same question about the same catalogue has the same answer.
    const name = cacheKey(who, "answer", catalogues.stateOf(key), hashOf(new TextEncoder().encode(sent)));
    const taken = await kept.take(name, async () => (far ? renderedOf(await far(c)) : answer(sent)));
    return taken instanceof CompressedBody
      ? taken.answer(c.req.raw, answerHeaders["content-type"], answerHeaders["cache-control"])
      : c.body(taken.text, taken.status, answerHeaders);
  });

  app.post("/shops/:shop/catalogue", limit(limits.upload), async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    const { catalogue } = await readers.catalogue(await sentOf(c.req.raw), shop.fields);
    await replaceCatalogue(em, shop, catalogue);
    catalogues.forget(shop);
    return c.json(await shopSummaryOf(em, await shopOf(em, shop.slug)));
  });

  app.get("/shops/:shop/imports", light, async (c) => {
    const em = fork();
    return c.json(await listImports(em, await shopRefOf(em, c.req.param("shop"))));
  });

  // Restores the catalogue, corrections and swatches from before an import; panels and pages stay as they are.
  app.post("/shops/:shop/imports/:id/take-back", async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    await revertImport(em, shop, Number(c.req.param("id")));
    catalogues.forget(shop);
    return c.json(await shopSummaryOf(em, await shopOf(em, shop.slug)));
  });

  for (const [format, type, write] of exports) {
    app.get(`/shops/:shop/${format}`, long, async (c) => {
      const em = fork();
      const shop = await shopRefOf(em, c.req.param("shop") ?? "");
      const { facts } = await catalogues.get(draftOf(em, shop));
      return attachment(write(facts.index.catalogue, shop.currency), type, `${shop.slug}.${format.split(".")[1]}`);
    });
  }
  return app;
}

const answerHeaders = { "content-type": "application/json", "cache-control": "no-store" };
const binaryType = "application/octet-stream";
const binary = (bytes: Uint8Array) =>
  new Response(bytes as Uint8Array<ArrayBuffer>, {
    headers: { "content-type": binaryType, "cache-control": "no-cache" },
  });

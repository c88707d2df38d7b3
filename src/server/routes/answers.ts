import { type Context, Hono } from "hono";
import { wireQuestion } from "../../core/engine/question.ts";
import { jsonAnswer } from "../../core/engine/remote-engine.ts";
import { pagesKind } from "../../core/page/kind.ts";
import { shopAddress } from "../../core/page/page-list.ts";
import { shownPage } from "../../core/page/shown-page.ts";
import { suggestionsFor } from "../../core/page/suggestions.ts";
import { panelKind } from "../../core/panel/kind.ts";
import { limits } from "../../core/sanitize/limits.ts";
import { audienceOf, cacheKey } from "../cache-key.ts";
import { canonicalQuestion } from "../canonical-question.ts";
import { CompressedBody } from "../compressed-body.ts";
import { hashOf } from "../hash.ts";
import { HttpError } from "../http-error.ts";
import { type RenderedResponse, ResponseCache } from "../response-cache.ts";
import type { ServedCatalogue, ServedCatalogues } from "../served-catalogue.ts";
import type { ShopSource } from "../store/source.ts";
import { WriteScopedCache } from "../store/write-scoped-cache.ts";
import type { Costs } from "./cost.ts";
import { type Offload, renderedOf } from "./offload.ts";
import { jsonOf, limit, parsedBody, stateAsked, textOf } from "./request.ts";

export interface AnswerOptions {
  /** The source that a request is about. @throws HttpError */
  find(c: Context): Promise<ShopSource>;
  catalogues: ServedCatalogues;
  keeps: boolean;
  costs: Costs;
  /** Threads for the engine; in this thread if absent. */
  far: Offload | undefined;
}

/** The requests of a shop's pages: the catalogue for their own engine, answers, and suggestions. */
export function answerRoutes({ find, catalogues, keeps, costs: { light, quick }, far }: AnswerOptions): Hono {
  const app = new Hono();
  const kept = new ResponseCache();
  const loaded = new WriteScopedCache<ServedCatalogue>();
  const sources = new WriteScopedCache<string>();

  // The catalogue for storefronts: with corrections, and only the fields that panels and cards need.
  app.get("/shops/:shop/data", quick, async (c) => {
    const { data } = await catalogues.get(await find(c));
    if (!data) throw new HttpError(404, "Pages of this shop ask for counts; its catalogue can’t be fetched.");
    const only = c.req.query("only")?.split(",", 2000);
    return data({ text: c.req.query("text") !== undefined, only }).answer(c.req.raw, binaryType, "no-cache");
  });

  // Suggestions while somebody types into the shop's search.
  app.get("/shops/:shop/suggest", quick, async (c) => {
    const source = await find(c);
    const { served } = await catalogues.get(source);
    const pages = (await source.read(pagesKind))?.document ?? pagesKind.fresh("");
    const { layout } = shownPage(shopAddress, pages, served.pageFacts(), await source.first(panelKind)) ?? {
      layout: { panels: [] },
    };
    const panels = await Promise.all(layout.panels.map(({ panel }) => source.read(panelKind, panel)));
    const asked = (c.req.query("q") ?? "").slice(0, 200);
    return c.json(
      await suggestionsFor(
        served,
        pages,
        panels.flatMap((one) => one?.document ?? []),
        asked,
      ),
    );
  });

  const ask = async (c: Context, sent: string): Promise<Response> => {
    const state = stateAsked(c);
    const [who, shop] = [audienceOf(state), c.req.param("shop") ?? ""];
    const of = cacheKey(who, "source", catalogues.forgotten, shop, JSON.stringify(state));
    const asked = canonicalQuestion(jsonOf(sent));
    const answer = async (): Promise<RenderedResponse> => {
      const { served } = await loaded.get(of, async () => catalogues.get(await find(c)));
      const { has, ...question } = parsedBody(wireQuestion, asked);
      const there = new Set(has);
      return { status: 200, text: jsonAnswer(await served.answer(question, (one) => there.has(one))) };
    };
    const keeping = c.req.method === "GET" && state !== "draft" ? "no-cache" : "no-store";
    const headers = { "content-type": "application/json", "cache-control": keeping };
    if (!keeps) return c.body((await answer()).text, 200, headers);
    const key = await sources.get(of, async () => (await find(c)).key);
    // The same question about the same catalogue has the same answer.
    const name = cacheKey(who, "answer", catalogues.stateOf(key), hashOf(JSON.stringify(asked)));
    const taken = await kept.take(name, async () => (far ? renderedOf(await far(c)) : answer()));
    return taken instanceof CompressedBody
      ? taken.answer(c.req.raw, headers["content-type"], keeping)
      : c.body(taken.text, taken.status, headers);
  };
  app.post("/shops/:shop/ask", limit(limits.question), async (c) => ask(c, await textOf(c.req.raw.clone())));
  // Answers of editions may be kept by browsers and proxies, which keep nothing that is posted. It is light here: what is
  // not kept is asked of a thread.
  app.get("/shops/:shop/ask", light, (c) => ask(c, c.req.query("q") ?? ""));
  return app;
}

export const binaryType = "application/octet-stream";

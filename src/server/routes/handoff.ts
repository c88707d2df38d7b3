import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Hono } from "hono";
import { LRUCache } from "lru-cache";
import type { HandoffPreview } from "../../core/api/handoff.ts";
import { panelHeights } from "../../core/api/panel-heights.ts";
import { limits } from "../../core/sanitize/limits.ts";
import type { ShopFiles } from "../../core/shop/archive/shop-files.ts";
import { zipFolder } from "../../core/shop/archive/zip.ts";
import { shopKind } from "../../core/shop/kind.ts";
import { siteOf } from "../../core/shop/site.ts";
import { type CacheKey, cacheKey } from "../cache-key.ts";
import { type Handoff, idsName, makeHandoff } from "../handoff/make.ts";
import { makeWithTrial, trialShare } from "../handoff/trial.ts";
import { HttpError } from "../http-error.ts";
import { readDocument, versionOf } from "../store/documents.ts";
import { heightsOfEdition, noEdition, stateOf, storeHeights } from "../store/editions.ts";
import type { Shop } from "../store/tables/shop.ts";
import type { Costs } from "./cost.ts";
import { attachment, bodyOf, limit, parsedBody, shopOf, stateIn } from "./request.ts";

/** Address of a site that already has a shop's handoff; undefined if there is none. */
export type StandIn = (shop: string) => string | undefined;

/** The settings of the shop's site: the present ones, whatever the edition. */
const siteNow = async (em: SqlEntityManager, shop: Shop) =>
  siteOf((await readDocument(em, shop, shopKind))?.document ?? shopKind.fresh(""));

/** A state of a shop for a handoff. @throws HttpError if there is no such edition */
const handoffState = async (em: SqlEntityManager, shop: Shop, which: number | "draft") => ({
  whole: await stateOf(em, shop, which),
  ...(which === "draft" ? {} : { edition: which, measured: await heightsOfEdition(em, shop, which) }),
});

/** The share of the tabs that get the second edition. @throws HttpError */
function shareIn(text: string | undefined): number {
  const share = trialShare(text);
  if (share !== undefined) return share;
  throw new HttpError(400, `The share of a trial must be between 0 and 1, not “${text?.slice(0, 20)}”.`);
}

/** Handoffs: a preview, and a ZIP to download. */
export function handoffRoutes(fork: () => SqlEntityManager, standIn: StandIn, { long }: Costs): Hono {
  const app = new Hono();
  // Cached, so that the downloaded files are those in the preview.
  const made = new LRUCache<CacheKey, Promise<Handoff>>({ max: 3 });

  interface Made {
    slug: string;
    handoff: Handoff;
    /** Whether a browser has measured the heights of its panels. */
    measured: boolean;
  }

  async function handoffOf(slug: string, of: string | undefined): Promise<Made> {
    const em = fork();
    const shop = await shopOf(em, slug);
    const which = stateIn(of);
    const site = await siteNow(em, shop);
    const measured = which === "draft" ? undefined : await heightsOfEdition(em, shop, which);
    const version = await versionOf(em, shop, shopKind);
    const key = cacheKey("designers", "handoff", shop.id, which, version, JSON.stringify(measured));
    const known = which === "draft" ? undefined : made.get(key);
    const handoff =
      known ??
      stateOf(em, shop, which).then((whole) =>
        makeHandoff(whole, { site, edition: which === "draft" ? undefined : which, measured }),
      );
    if (which !== "draft") {
      made.set(key, handoff);
      handoff.catch(() => made.delete(key));
    }
    return { slug: shop.slug, handoff: await handoff, measured: measured !== undefined };
  }

  /** The files of a state with a second edition beside it. */
  async function filesWithTrial(
    slug: string,
    of: string | undefined,
    trial: string,
    share: number,
  ): Promise<ShopFiles> {
    const em = fork();
    const shop = await shopOf(em, slug);
    const [which, second] = [stateIn(of), stateIn(trial)];
    const site = await siteNow(em, shop);
    const read = (state: typeof which) => handoffState(em, shop, state);
    const { files } = await makeWithTrial(await read(which), await read(second), share, { site });
    return files;
  }

  app.get("/shops/:shop/handoff", long, async (c) => {
    const { slug, handoff, measured } = await handoffOf(c.req.param("shop"), c.req.query("of"));
    const { report, tags, pieces, product } = handoff;
    const seen = standIn(slug);
    return c.json({
      report,
      tags,
      pages: Object.entries(pieces).map(([address, names]) => ({ address, pieces: Object.keys(names) })),
      product,
      measured,
      ...(seen === undefined ? {} : { seen }),
    } satisfies HandoffPreview);
  });

  app.get("/shops/:shop/handoff.zip", long, async (c) => {
    const [asked, of, trial] = [c.req.param("shop"), c.req.query("of"), c.req.query("trial")];
    if (trial !== undefined) {
      const files = await filesWithTrial(asked, of, trial, shareIn(c.req.query("share")));
      return attachment(zipFolder(files), "application/zip", `${asked}-trellis.zip`);
    }
    const { slug, handoff } = await handoffOf(asked, of);
    return attachment(zipFolder(handoff.files), "application/zip", `${slug}-trellis.zip`);
  });
  // Measurements on the edition’s pages by a browser.
  app.put("/shops/:shop/editions/:n/heights", limit(limits.document), async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    const n = stateIn(c.req.param("n"));
    if (n === "draft") throw noEdition(0);
    const { heights } = parsedBody(panelHeights, await bodyOf(c.req.raw));
    await storeHeights(em, shop, n, heights);
    return c.body(null, 204);
  });

  app.get("/shops/:shop/handoff/ids.csv", long, async (c) => {
    const { slug, handoff } = await handoffOf(c.req.param("shop"), c.req.query("of"));
    return attachment(new Uint8Array(handoff.files.get(idsName) ?? []), "text/csv; charset=utf-8", `${slug}-ids.csv`);
  });
  return app;
}

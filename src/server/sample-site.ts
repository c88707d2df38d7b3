import { readdirSync, readFileSync } from "node:fs";
import { extname, join, relative } from "node:path";
import { serveStatic } from "@hono/node-server/serve-static";
import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Hono } from "hono";
import { bodyLimit } from "hono/body-limit";
import { compress } from "hono/compress";
import { getMimeType } from "hono/utils/mime";
import { siteLook } from "../../demo/look.ts";
import { limits } from "../core/sanitize/limits.ts";
import type { ShopFiles } from "../core/shop/archive/shop-files.ts";
import type { WholeShop } from "../core/shop/archive/whole-shop.ts";
import { makeHandoff } from "./handoff/make.ts";
import { hostGuard } from "./host-guard.ts";
import { HttpError } from "./http-error.ts";
import { messagePage } from "./routes/message-page.ts";
import { listEditions, stateOf } from "./store/editions.ts";
import { findShop } from "./store/shops.ts";
import { collectVisits } from "./store/visits.ts";

/** The demo shop, whose handoff the sample site uses. */
export const demoShop = "larkmoss-nursery";
const include = /<!--#include virtual="\/trellis\/([^"]+)" -->\n?/g;

/** The path to which the site's pages send visits, on the site itself, as its policy wants it. */
const visitsPath = "/visits";

/** A page whose panels tell visits. */
const withVisits = (page: Uint8Array): string =>
  new TextDecoder().decode(page).replaceAll("<trellis-panel ", `<trellis-panel visits="${visitsPath}" `);

/** The sample site with a shop's handoff in it, as files of a plain server. @param root folder of the repository */
export async function sampleSiteFiles(whole: WholeShop, root: string, edition?: number): Promise<ShopFiles> {
  const site = join(root, "demo/site");
  const looked = {
    ...whole,
    looks: [...whole.looks, { slug: "tansy-row", document: siteLook }],
    shop: { ...whole.shop, look: "tansy-row" },
  };
  const { files } = await makeHandoff(looked, {
    edition,
    site: { at: "/trellis/", action: "/plants.html", link: "/stock.html#{id}" },
    card: readFileSync(join(site, "card.html"), "utf8"),
  });
  const put = (page: string) =>
    page.replace(include, (_, path: string) => {
      const piece = files.get(path);
      return piece
        ? new TextDecoder().decode(piece)
        : `<p>The shop’s handoff has no file ${path}. Check the address.</p>\n`;
    });
  const own = readdirSync(site)
    .filter((name) => /\.(?:html|css)$/.test(name) && !/^(?:card|stock\.template)\.html$/.test(name))
    .map((name): [string, Uint8Array] => {
      const text = readFileSync(join(site, name), "utf8");
      return [name, new TextEncoder().encode(name.endsWith(".html") ? put(text) : text)];
    });
  return new Map([...own, ...[...files].map(([path, bytes]): [string, Uint8Array] => [`trellis/${path}`, bytes])]);
}

/**
 * Serves the sample site as a plain file server would, under a strict policy, with the newest edition of the demo
 * shop.
 */
export function sampleSite(fork: () => SqlEntityManager, root: string): Hono {
  let built: { edition: number; files: Promise<ShopFiles> } | undefined;
  /** The files of the newest edition; undefined if the demo shop is gone or not published. */
  async function current(): Promise<{ files: ShopFiles; collects: boolean } | undefined> {
    const em = fork();
    const shop = await findShop(em, demoShop);
    const [newest] = shop ? await listEditions(em, shop) : [];
    if (!shop || !newest) return undefined;
    if (built?.edition !== newest.n) {
      const files = stateOf(em, shop, newest.n).then((whole) => sampleSiteFiles(whole, root, newest.n));
      built = { edition: newest.n, files };
      files.catch(() => {
        built = undefined;
      });
    }
    return { files: await built.files, collects: shop.visitDays > 0 };
  }

  const app = new Hono();
  app.use(hostGuard());
  app.use(compress());
  app.use("/demo/pictures/*", serveStatic({ root: relative(process.cwd(), root) || "." }));
  app.post(visitsPath, bodyLimit({ maxSize: limits.visitBatch.max }), async (c) => {
    const em = fork();
    const shop = await findShop(em, demoShop);
    if (shop) await collectVisits(em, shop, await c.req.text());
    return c.body(null, 204);
  });
  app.get("/*", async (c) => {
    const now = await current();
    if (!now)
      return c.html(
        messagePage(
          "Nothing to show",
          "The demo shop was removed or isn’t published. Start over with npm run demo -- --fresh.",
        ),
        404,
      );
    const path = decodeURIComponent(new URL(c.req.url).pathname).slice(1) || "index.html";
    const bytes = now.files.get(path);
    const isPage = extname(path) === ".html";
    if (!bytes)
      return c.html(messagePage("This page doesn’t exist", `There is nothing at /${path}. Check the address.`), 404);
    const type = isPage ? "text/html; charset=utf-8" : (getMimeType(path) ?? "application/octet-stream");
    return c.body(isPage && now.collects ? withVisits(bytes) : new Uint8Array(bytes), 200, {
      "content-type": type,
      "cache-control": "no-cache",
      "content-security-policy": "default-src 'self'; img-src 'self' data:",
    });
  });
  app.onError((error, c) =>
    c.html(messagePage("Something went wrong", error.message), error instanceof HttpError ? error.status : 500),
  );
  return app;
}

import type { MikroORM } from "@mikro-orm/libsql";
import { Hono } from "hono";
import { compress } from "hono/compress";
import type { ToolState } from "../core/api/tool.ts";
import type { Gate } from "./access/gate.ts";
import { hostGuard } from "./host-guard.ts";
import { shedLoad } from "./load-shedding.ts";
import { api } from "./routes/api.ts";
import { costsOf } from "./routes/cost.ts";
import type { StandIn } from "./routes/handoff.ts";
import type { Offload } from "./routes/offload.ts";
import { pagesInDatabase } from "./routes/page-source.ts";
import { noteRoutes } from "./routes/previews.ts";
import { shopPages } from "./routes/shop-page.ts";
import { styles } from "./routes/style.ts";
import { pictures } from "./routes/swatches.ts";
import { tellErrors } from "./routes/tell-errors.ts";
import { visitsIntake } from "./routes/visits.ts";
import { sameOrigin } from "./same-origin.ts";
import { serveFiles } from "./static-files.ts";
import { Catalogues } from "./store/catalogues.ts";
import { writeCount } from "./store/write.ts";
import { developmentAssets, storefrontAssets } from "./storefront-assets.ts";
import type { Threads } from "./threads/threads.ts";
import { toolHeaders } from "./tool-headers.ts";
import { type Readers, readers } from "./uploads.ts";
import { warmShop } from "./warm.ts";

export interface AppOptions {
  orm: MikroORM;
  /** Folder of the repository with `dist` and `demo`. */
  root: string;
  /** Pages take the storefront from Vite's development server instead of `dist`. */
  development?: boolean;
  /** Default: no shop is on a site yet. */
  standIn?: StandIn;
  /** Host names besides those of this machine; none by default. */
  names?: readonly string[];
  /** Threads for heavy work; by default it runs here. */
  threads?: Pick<Threads, "answer" | keyof Readers>;
  /** The cached catalogues; none by default. */
  catalogues?: Catalogues;
  /** Whether responses are cached; default: yes. A thread need not: the main one does. */
  keeps?: boolean;
  /** Access control, if the tool is open to a network; none by default. */
  gate?: Pick<Gate, "guard" | "routes">;
}

/** The whole server: shops' pages, the tool's pages, and the data behind both. */
export function createApp({
  orm,
  root,
  development = false,
  standIn = () => undefined,
  names = [],
  gate,
  threads,
  catalogues = new Catalogues(),
  keeps = true,
}: AppOptions): Hono {
  const fork = () => orm.em.fork();
  /** Hands a request to the threads, with the main one's number of writes. */
  const inThread =
    (pool: Pick<Threads, "answer">, how: Parameters<Threads["answer"]>[2]): Offload =>
    (c) => {
      const site = standIn(c.req.param("shop") ?? "");
      return pool.answer(c.req.raw, { writes: writeCount(), forgotten: catalogues.forgotten, site }, how);
    };
  const far = threads && inThread(threads, { plain: true, shared: true });
  const costs = costsOf(threads && { quick: inThread(threads, {}), long: inThread(threads, { long: true }) });
  const app = new Hono();

  app.use(hostGuard(names));
  app.use(async (c, next) =>
    c.req.raw.url.includes("%00")
      ? c.text("This address contains a NUL character, so there is no page for it.", 404)
      : next(),
  );
  // Pages of other sites send visits, so this route comes before the walls.
  app.route("/", visitsIntake(fork));
  app.use(sameOrigin);
  app.use(compress());
  if (gate) {
    app.use("/sign-in", toolHeaders);
    app.use(gate.guard);
    app.route("/", gate.routes);
  }
  app.use("/api/*", toolHeaders);
  app.get("/api/tool", (c) => c.json({ signedIn: gate !== undefined } satisfies ToolState));
  const line = shedLoad();
  for (const heavy of ["/shop/*", "/draft/*", "/edition/*", "/preview/*", "/api/shops/:shop/*"]) app.use(heavy, line);
  const warm = (shop: string) => warmShop(app, shop);
  app.route("/api", api({ fork, catalogues, standIn, readers: threads ?? readers, keeps, far, costs, warm }));
  const assets = development ? developmentAssets(root) : storefrontAssets(root);
  const pages = { find: pagesInDatabase(fork), catalogues, assets, keeps, far };
  app.route("/shop", shopPages({ ...pages, of: "shoppers" }));
  app.route("/draft", shopPages({ ...pages, of: "draft" }));
  app.route("/edition", shopPages({ ...pages, of: "edition" }));
  app.route("/preview", shopPages({ ...pages, of: "preview" }));
  app.use("/preview-notes/*", toolHeaders);
  app.route("/preview-notes", noteRoutes(fork));
  app.route("/storefront", styles());
  serveFiles(app, root, pictures(fork));
  tellErrors(app);
  return app;
}

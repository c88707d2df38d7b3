import { existsSync } from "node:fs";
import { join, relative } from "node:path";
import { serveStatic } from "@hono/node-server/serve-static";
import type { MikroORM } from "@mikro-orm/libsql";
import { Hono } from "hono";
import { compress } from "hono/compress";
import { csrf } from "hono/csrf";
import { secureHeaders } from "hono/secure-headers";
import { shippedFonts } from "../core/look/fonts.ts";
import { facesOf, fontAddress, fontFolders } from "./fonts.ts";
import { hostGuard } from "./host-guard.ts";
import { api } from "./routes/api.ts";
import type { StandIn } from "./routes/handoff.ts";
import { plainPage } from "./routes/plain-page.ts";
import { type StorefrontAssets, shopPages } from "./routes/shop-page.ts";
import { styles } from "./routes/style.ts";
import { pictures } from "./routes/swatches.ts";
import { Catalogues } from "./store/catalogues.ts";

export interface AppOptions {
  orm: MikroORM;
  /** Folder of the repository, where `dist` and `demo` are. */
  root: string;
  /** Pages take the storefront from Vite's development server instead of `dist`. */
  development?: boolean;
  /** By default no shop stands on a site yet. */
  standIn?: StandIn;
}

const built: StorefrontAssets = {
  script: "/storefront/trellis.js",
  part: (name) => `/storefront/${name}.js`,
};
const inDevelopment = (root: string): StorefrontAssets => ({ script: `/@fs${root}/src/storefront/shop/page.tsx` });

/** The whole server: shops' pages, the tool's pages, and the data behind both. */
export function createApp({ orm, root, development = false, standIn = () => undefined }: AppOptions): Hono {
  const fork = () => orm.em.fork();
  const catalogues = new Catalogues();
  const here = (folder: string) => relative(process.cwd(), join(root, folder)) || ".";
  const app = new Hono();

  app.use(hostGuard);
  app.use(csrf());
  app.use(compress());
  app.route("/api", api(fork, catalogues, standIn));
  const assets = development ? inDevelopment(root) : built;
  app.route("/shop", shopPages(fork, catalogues, assets, "shoppers"));
  app.route("/draft", shopPages(fork, catalogues, assets, "draft"));
  app.route("/edition", shopPages(fork, catalogues, assets, "edition"));
  app.route("/storefront", styles());
  app.get(`${fontAddress}/:file{[a-z-]+\\.css}`, (c) => {
    const font = shippedFonts.find(({ package: name }) => `${name}.css` === c.req.param("file"));
    if (!font) return c.notFound();
    return c.body(facesOf([font]), 200, {
      "content-type": "text/css; charset=utf-8",
      "cache-control": "max-age=86400",
    });
  });
  for (const [name, folder] of fontFolders)
    app.use(
      `${fontAddress}/${name}/*`,
      serveStatic({
        root: relative(process.cwd(), folder),
        rewriteRequestPath: (path) => path.slice(`${fontAddress}/${name}`.length),
        onFound: (_path, c) => c.header("cache-control", "max-age=86400"),
      }),
    );
  app.use(
    "/demo/pictures/*",
    secureHeaders({ contentSecurityPolicy: { defaultSrc: ["'none'"], styleSrc: ["'unsafe-inline'"] } }),
    serveStatic({ root: here("."), onFound: (_path, c) => c.header("cache-control", "max-age=600") }),
  );
  app.route("/pictures", pictures(fork));
  app.use("/storefront/*", serveStatic({ root: here("dist") }));
  app.use("/*", serveStatic({ root: here("dist/studio") }));
  app.get("*", async (c, next) => {
    // Addresses of the tool's own views all get its one page; the router in it says when there is no such view.
    if (!existsSync(join(root, "dist/studio/index.html")) || /\.\w+$/.test(c.req.path)) return next();
    return serveStatic({ root: here("dist/studio"), path: "index.html" })(c, next);
  });
  app.notFound((c) => c.html(plainPage("Not here", `There is nothing at ${c.req.path}.`), 404));
  return app;
}

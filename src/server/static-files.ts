import { existsSync } from "node:fs";
import { join, relative } from "node:path";
import { serveStatic } from "@hono/node-server/serve-static";
import type { Context, Hono } from "hono";
import { secureHeaders } from "hono/secure-headers";
import { shippedFonts } from "../core/look/fonts.ts";
import { cacheOf, immutable } from "./cache-control.ts";
import { facesOf, fontAddress, fontFolders } from "./fonts.ts";
import { toolHeaders } from "./tool-headers.ts";

const kept = (path: string, c: Context): void => c.header("cache-control", cacheOf(path));

/**
 * Serves files: fonts, pictures, shop pages' scripts, and the tool's own pages at every other address.
 * @param root folder of the repository
 * @param pictures the shops' pictures
 */
export function serveFiles(app: Hono, root: string, pictures: Hono): void {
  const here = hereIn(root);
  serveFonts(app);
  app.route("/pictures", pictures);
  serveShopFiles(app, root);
  // Everything outside shops belongs to the tool.
  app.use("/*", toolHeaders);
  app.use("/*", serveStatic({ root: here("dist/studio"), precompressed: true, onFound: kept }));
  app.get("*", async (c, next) => {
    // All of the tool's addresses get its one page; its router reports unknown views.
    if (!existsSync(join(root, "dist/studio/index.html")) || /\.\w+$/.test(c.req.path)) return next();
    return serveStatic({ root: here("dist/studio"), path: "index.html" })(c, next);
  });
}

/** Folders of the repository as the static server takes them. */
const hereIn = (root: string) => (folder: string) => relative(process.cwd(), join(root, folder)) || ".";

/** Serves the typefaces that looks can use. */
export function serveFonts(app: Hono): void {
  app.get(`${fontAddress}/:file{[a-z-]+\\.css}`, (c) => {
    const font = shippedFonts.find(({ package: name }) => `${name}.css` === c.req.param("file"));
    if (!font) return c.notFound();
    return c.body(facesOf([font], "swap"), 200, {
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
        onFound: (_path, c) => c.header("cache-control", immutable),
      }),
    );
}

/** Serves the demo shop's pictures, and the scripts of shop pages. */
export function serveShopFiles(app: Hono, root: string): void {
  const here = hereIn(root);
  app.use(
    "/demo/pictures/*",
    secureHeaders({ contentSecurityPolicy: { defaultSrc: ["'none'"], styleSrc: ["'unsafe-inline'"] } }),
    serveStatic({ root: here("."), onFound: (_path, c) => c.header("cache-control", "max-age=600") }),
  );
  app.use("/storefront/*", serveStatic({ root: here("dist"), precompressed: true, onFound: kept }));
}

import { gzipSync } from "node:zlib";
import tailwind from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig, type Plugin, type Rolldown } from "vite";
import { packed } from "./vite.packed.ts";

const server = "http://127.0.0.1:4311";

/** Most kB, gzipped, of the script that every view starts with, and of any one that a view brings along. */
const budget = { start: 140, view: 190 };

/** Fails the build when a part of the application has grown beyond its budget. */
const measureScript: Plugin = {
  name: "measure-script",
  writeBundle(_options, bundle) {
    for (const chunk of Object.values(bundle)) {
      if (chunk.type !== "chunk") continue;
      const size = gzipSync(chunk.code, { level: 9 }).length / 1000;
      const most = chunk.isEntry ? budget.start : budget.view;
      if (size > most) this.error(`${chunk.fileName} has ${size.toFixed(1)} kB gzipped, and ${most} is the most.`);
    }
  },
};

/** The script that runs first, with what it needs. */
const first = /\/src\/studio\/(?:head-start|ahead|view-scripts)\.ts$|preload-helper/;

/** The tool's own modules and icons, but for what the application's first script says when there is no view. */
const ours = /\/src\/(?!studio\/shell\/(?:not-here|failed-view))|lucide-react/;

/** Packages that take long to load, and that only some views need. */
const large = ["css-tree", "sanitize-html", "culori", "chart.js", "ufuzzy", "react-virtual"];
interface Graph {
  getModuleInfo(
    id: string,
  ): Pick<Rolldown.ModuleInfo, "importedIds" | "importers" | "dynamicImporters" | "isEntry"> | null;
}

const needed = new Map<string, ReadonlySet<string>>();

/** The large packages that a module needs, itself or by what it imports. */
function needs(id: string, graph: Graph): ReadonlySet<string> {
  const known = needed.get(id);
  if (known) return known;
  const found = new Set(large.filter((name) => id.includes(`/${name}/`)));
  // Circles of imports in packages end here.
  needed.set(id, found);
  if (found.size === 0)
    for (const other of graph.getModuleInfo(id)?.importedIds ?? [])
      for (const name of needs(other, graph)) found.add(name);
  return found;
}

/** Number of scripts loaded on demand from which a module has a file that they share. */
const sharedFrom = 3;

/** Number of scripts, loaded first or on demand, that a module is part of. */
function scriptsWith(id: string, graph: Graph): number {
  const seen = new Set([id]);
  let scripts = 0;
  for (const module of seen) {
    const { importers = [], dynamicImporters = [], isEntry = false } = graph.getModuleInfo(module) ?? {};
    if (isEntry || dynamicImporters.length > 0) scripts += 1;
    for (const importer of importers) seen.add(importer);
  }
  return scripts;
}

/**
 * The file that a module belongs to; null if too few scripts share it. What a module imports is in at least as many
 * scripts and needs no more packages, so these files never import each other in a circle.
 */
const sharedBy = (id: string, graph: Graph): string | null =>
  scriptsWith(id, graph) < sharedFrom ? null : ["shared", ...[...needs(id, graph)].sort()].join("-");

/** Fails the build when scripts import each other in a circle: one of them would run before what it needs. */
const refuseCircles: Plugin = {
  name: "refuse-circles",
  writeBundle(_options, bundle) {
    const done = new Set<string>();
    const visit = (name: string, path: readonly string[]): void => {
      if (path.includes(name)) this.error(`Scripts import each other in a circle: ${[...path, name].join(", ")}.`);
      const chunk = bundle[name];
      if (done.has(name) || chunk?.type !== "chunk") return;
      for (const imported of chunk.imports) visit(imported, [...path, name]);
      done.add(name);
    };
    for (const name of Object.keys(bundle)) visit(name, []);
  },
};

/** Puts the script that runs first at the head of the page, without waiting for the style sheet. */
const headStart: Plugin = {
  name: "head-start",
  buildStart() {
    if (this.environment.mode === "build")
      this.emitFile({ type: "chunk", id: "src/studio/head-start.ts", name: "head-start" });
  },
  transformIndexHtml: {
    order: "post",
    handler(_html, { bundle }) {
      // The entry's own file only imports the one with the code, which others import, too.
      const built = Object.values(bundle ?? {}).find(
        (one) => one.type === "chunk" && one.moduleIds.some((id) => id.endsWith("/head-start.ts")),
      );
      const src = built ? `/${built.fileName}` : "/head-start.ts";
      return [{ tag: "script", attrs: { type: "module", async: true, src }, injectTo: "head-prepend" }];
    },
  },
};

/** The designer's application. The storefront that shoppers get has a build of its own. */
export default defineConfig({
  root: "src/studio",
  publicDir: false,
  plugins: [
    react({ exclude: /src\/storefront/ }),
    tailwind(),
    headStart,
    measureScript,
    refuseCircles,
    packed("quick"),
  ],
  // Workers load what they seldom do on demand.
  worker: { format: "es" },
  build: {
    outDir: "../../dist/studio",
    emptyOutDir: true,
    rolldownOptions: {
      output: {
        // What several views share comes as few files, since fifty small ones wait longer than they take: one for each
        // set of large packages that its modules need, so that views without these do not wait for them.
        codeSplitting: {
          groups: [
            { name: "head-start", test: first },
            { name: sharedBy, test: ours },
          ],
          includeDependenciesRecursively: false,
        },
      },
    },
  },
  server: {
    host: "127.0.0.1",
    port: 4310,
    strictPort: true,
    fs: { allow: ["../.."] },
    proxy: {
      "/api/": server,
      "/shop/": server,
      "/draft/": server,
      "/edition/": server,
      "/storefront/": server,
      "/demo/": server,
      "/pictures/": server,
    },
  },
});

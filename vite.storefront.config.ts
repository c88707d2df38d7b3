import { gzipSync } from "node:zlib";
import type { OutputBundle, OutputChunk } from "rolldown";
import { defineConfig, type Plugin } from "vite";
import { treeshake } from "./src/storefront/treeshake.ts";

/**
 * Most kB, gzipped, that a shopper fetches of script: for a panel of six displays, for one of all, and of the engine
 * where a page counts for itself. The stand-in shop around the panel is in it. The aim is 20 for six and 24 for all;
 * these hold the line until it is reached.
 */
const budget = { six: 33, all: 37, engine: 11.5 };
const six = ["check-boxes", "swatches", "tiles", "tree", "slider-inputs", "switch"];

const isChunk = (output: OutputBundle[string] | undefined): output is OutputChunk => output?.type === "chunk";
const kB = (code: string): number => gzipSync(code, { level: 9 }).length / 1000;

/** Says how large the shoppers' script is, as it goes over the wire, and fails the build when it is too large. */
const measureScript: Plugin = {
  name: "measure-script",
  writeBundle(_options, bundle) {
    const chunks = Object.values(bundle).filter(isChunk);
    const withImports = (files: readonly string[], found = new Set<string>()): Set<string> => {
      for (const file of files) {
        if (found.has(file)) continue;
        found.add(file);
        const chunk = bundle[file];
        if (isChunk(chunk)) withImports(chunk.imports, found);
      }
      return found;
    };
    const sizeOf = (files: readonly string[]) =>
      [...withImports(files)].reduce((sum, file) => {
        const chunk = bundle[file];
        return sum + (isChunk(chunk) ? kB(chunk.code) : 0);
      }, 0);
    const displays = chunks.map(({ fileName }) => fileName).filter((file) => file.startsWith("display-"));
    for (const file of ["trellis.js", "fetch-engine.js"])
      if (!isChunk(bundle[file])) this.error(`There is no ${file}.`);
    const sizes = {
      six: sizeOf(["trellis.js", ...six.map((name) => `display-${name}.js`)]),
      all: sizeOf(["trellis.js", ...displays]),
      engine: sizeOf(["trellis.js", "fetch-engine.js"]) - sizeOf(["trellis.js"]),
    };
    const told = `Shopper's script, kB gzipped: ${sizes.six.toFixed(1)} with six displays, ${sizes.all.toFixed(1)} with all`;
    console.log(`${told}; the engine ${sizes.engine.toFixed(1)}.`);
    for (const name of ["six", "all", "engine"] as const)
      if (sizes[name] > budget[name])
        this.error(`${name}: ${sizes[name].toFixed(1)} kB gzipped, and ${budget[name]} is the most.`);
  },
};

/** Chunks bring no style sheets and preload nothing, so what Vite would wrap every import() in is left out. */
const plainImports: Plugin = {
  name: "plain-imports",
  enforce: "pre",
  load: (id) => (id === "\0vite/preload-helper.js" ? "export const __vitePreload = (load) => load();" : undefined),
};

const folder = /\/displays\/([^/]+)\/view\.tsx$/;

/** What shoppers get: one script for the page, one for the engine, and one for each display that a panel uses. */
export default defineConfig({
  publicDir: false,
  base: "/storefront/",
  plugins: [plainImports, measureScript],
  worker: { format: "es", rollupOptions: { output: { entryFileNames: "[name].js" } } },
  build: {
    outDir: "dist/storefront",
    emptyOutDir: true,
    target: "es2022",
    assetsInlineLimit: 0,
    // The server names what is fetched ahead; it knows which displays a panel uses.
    modulePreload: false,
    rollupOptions: {
      input: "src/storefront/shop/page.tsx",
      treeshake,
      output: {
        // What is shared comes in one piece, since small files pack badly.
        codeSplitting: {
          groups: [{ name: "shared", minShareCount: 2, test: (id) => !folder.test(id) && !id.includes("/stage/") }],
        },
        entryFileNames: "trellis.js",
        chunkFileNames: ({ moduleIds, name }) => {
          const display = moduleIds.map((id) => folder.exec(id)?.[1]).find(Boolean);
          return display ? `display-${display}.js` : `${name}.js`;
        },
      },
    },
  },
});

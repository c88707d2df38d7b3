import { writeFileSync } from "node:fs";
import { join } from "node:path";
import { gzipSync } from "node:zlib";
import type { OutputBundle, OutputChunk } from "rolldown";
import { defineConfig, type Plugin } from "vite";
import { treeshake } from "./src/storefront/treeshake.ts";
import { packed } from "./vite.packed.ts";

/**
 * Most kB, gzipped, that a shopper fetches of script: before the page is awake, and with the catalogue where it counts
 * for itself. The stand-in shop around the panel and all displays are in the first: on a phone each further file waits
 * 150 ms for its first byte, and all displays together are as long under way as 15 ms of it.
 */
const budget = { page: 38.7, engine: 13.8 };

const isChunk = (output: OutputBundle[string] | undefined): output is OutputChunk => output?.type === "chunk";

/** Says how large the shoppers' script is, as it goes over the wire, and fails the build when it is too large. */
const measureScript: Plugin = {
  name: "measure-script",
  writeBundle(_options, bundle) {
    const byName = new Map(Object.values(bundle).flatMap((one) => (isChunk(one) ? [[one.name, one] as const] : [])));
    const withImports = (names: readonly string[], found = new Set<OutputChunk>()): Set<OutputChunk> => {
      for (const name of names) {
        const chunk = byName.get(name);
        if (!chunk) this.error(`There is no chunk ${name}.`);
        if (found.has(chunk)) continue;
        found.add(chunk);
        const imported = chunk.imports.map((file) => bundle[file]);
        withImports(
          imported.flatMap((one) => (isChunk(one) ? [one.name] : [])),
          found,
        );
      }
      return found;
    };
    const sizeOf = (names: readonly string[]) =>
      [...withImports(names)].reduce((sum, { code }) => sum + gzipSync(code, { level: 9 }).length / 1000, 0);
    const page = sizeOf(["page"]);
    const sizes = { page, engine: sizeOf(["page", "own-engine", "fetch-engine"]) - page };
    console.log(`Shopper's script, kB gzipped: ${page.toFixed(2)}; the engine ${sizes.engine.toFixed(2)}.`);
    for (const name of ["page", "engine"] as const)
      if (sizes[name] > budget[name])
        this.error(`${name}: ${sizes[name].toFixed(2)} kB gzipped, and ${budget[name]} is the most.`);
  },
};

/** Writes down what the chunks are called, since their names carry a hash of their content. */
const names: Plugin = {
  name: "names",
  writeBundle({ dir = "" }, bundle) {
    const chunks = Object.values(bundle).filter(isChunk);
    writeFileSync(
      join(dir, "names.json"),
      JSON.stringify(Object.fromEntries(chunks.map((one) => [one.name, one.fileName]))),
    );
  },
};

/** Chunks bring no style sheets and preload nothing, so what Vite would wrap every import() in is left out. */
const plainImports: Plugin = {
  name: "plain-imports",
  enforce: "pre",
  load: (id) => (id === "\0vite/preload-helper.js" ? "export const __vitePreload = (load) => load();" : undefined),
};

/** Modules that stay out of the shared script. */
const ofThePage = /\/(?:stage|numbers)\/|d3-array|value-order|sort-keys|index\/words/;

/** What shoppers get: one script for the page and one for the engine; one more for the designer's stage. */
export default defineConfig({
  publicDir: false,
  base: "/storefront/",
  plugins: [plainImports, measureScript, names, packed("best")],
  worker: { format: "es", rollupOptions: { output: { entryFileNames: "[name]-[hash].js" } } },
  build: {
    outDir: "dist/storefront",
    emptyOutDir: true,
    target: "es2022",
    assetsInlineLimit: 0,
    modulePreload: false,
    rollupOptions: {
      input: { page: "src/storefront/shop/page.tsx", notes: "src/storefront/notes/notes.tsx" },
      treeshake,
      output: {
        // What is shared comes in one piece: two files are fetched sooner than four. Every page needs number lines and
        // the order of values at once, so these stay in the page's own script, which packs them tighter.
        codeSplitting: { groups: [{ name: "shared", minShareCount: 2, test: (id) => !ofThePage.test(id) }] },
        entryFileNames: "[name]-[hash].js",
        chunkFileNames: "[name]-[hash].js",
      },
    },
  },
});

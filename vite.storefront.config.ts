import { gzipSync } from "node:zlib";
import type { OutputBundle, OutputChunk } from "rolldown";
import { defineConfig, type Plugin } from "vite";

/** Most kB, gzipped, that a shopper fetches of script for a panel of six displays, and for one of all. */
const budget = { six: 20, all: 24 };
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
    const always = ["trellis.js", "fetch-engine.js"];
    const displays = chunks.map(({ fileName }) => fileName).filter((file) => file.startsWith("display-"));
    for (const file of always) if (!isChunk(bundle[file])) this.error(`There is no ${file}.`);
    for (const chunk of chunks) console.log(`${chunk.fileName}: ${kB(chunk.code).toFixed(1)} kB gzipped`);
    const sizes = {
      six: sizeOf([...always, ...six.map((name) => `display-${name}.js`)]),
      all: sizeOf([...always, ...displays]),
    };
    console.log(
      `Script of a page with six displays: ${sizes.six.toFixed(1)} kB gzipped, with all: ${sizes.all.toFixed(1)} kB.`,
    );
    for (const name of ["six", "all"] as const)
      if (sizes[name] > budget[name])
        console.log(
          `The script for ${name} displays has ${sizes[name].toFixed(1)} kB gzipped, more than ${budget[name]}.`,
        );
  },
};

const folder = /\/displays\/([^/]+)\/view\.tsx$/;

/** What shoppers get: one script for the page, one for the engine, and one for each display that a panel uses. */
export default defineConfig({
  publicDir: false,
  base: "/storefront/",
  plugins: [measureScript],
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
      output: {
        entryFileNames: "trellis.js",
        chunkFileNames: ({ moduleIds, name }) => {
          const display = moduleIds.map((id) => folder.exec(id)?.[1]).find(Boolean);
          return display ? `display-${display}.js` : `${name}.js`;
        },
      },
    },
  },
});

import { gzipSync } from "node:zlib";
import { defineConfig, type Plugin } from "vite";

/** Says how large the shoppers' script is, as it goes over the wire. */
const reportSize: Plugin = {
  name: "report-size",
  writeBundle(_options, bundle) {
    for (const [file, output] of Object.entries(bundle)) {
      if (output.type !== "chunk") continue;
      console.log(`${file}: ${(gzipSync(output.code, { level: 9 }).length / 1000).toFixed(1)} kB gzipped`);
    }
  },
};

/** What shoppers get: one script with the engine, one style sheet, fonts. */
export default defineConfig({
  publicDir: false,
  base: "/storefront/",
  plugins: [reportSize],
  worker: { format: "es", rollupOptions: { output: { entryFileNames: "[name].js" } } },
  build: {
    outDir: "dist/storefront",
    emptyOutDir: true,
    target: "es2022",
    assetsInlineLimit: 0,
    // Two small chunks are fetched when they are needed; what would fetch them ahead is larger than what it saves.
    modulePreload: false,
    rollupOptions: {
      input: "src/storefront/page.tsx",
      output: {
        entryFileNames: "trellis.js",
        chunkFileNames: "[name].js",
        assetFileNames: (asset) => (asset.names[0]?.endsWith(".css") ? "trellis.css" : "[name][extname]"),
      },
    },
  },
});

import { gzipSync } from "node:zlib";
import tailwind from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig, type Plugin } from "vite";
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

/** The designer's application. The storefront that shoppers get has a build of its own. */
export default defineConfig({
  root: "src/studio",
  publicDir: false,
  plugins: [react({ exclude: /src\/storefront/ }), tailwind(), measureScript, packed],
  build: {
    outDir: "../../dist/studio",
    emptyOutDir: true,
    rolldownOptions: {
      output: {
        // What several views share comes as one file: fifty small ones wait longer than they take.
        codeSplitting: {
          groups: [{ name: "shared", minShareCount: 3, test: /\/src\/|lucide-react/ }],
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

import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import type { OutputBundle, OutputChunk } from "rolldown";
import { defineConfig, type Plugin, type UserConfig } from "vite";
import { treeshake } from "./src/storefront/treeshake.ts";

const storefront = join(import.meta.dirname, "src/storefront");
const isChunk = (output: OutputBundle[string] | undefined): output is OutputChunk => output?.type === "chunk";

/** Writes all modules into one file, from which a handoff joins those that its panels use. */
const modulesAsJson: Plugin = {
  name: "modules-as-json",
  generateBundle(_options, bundle) {
    const modules: Record<string, string> = {};
    for (const one of Object.values(bundle).filter(isChunk)) {
      modules[one.fileName.replace(/\.js$/, "")] = one.code;
      delete bundle[one.fileName];
    }
    this.emitFile({ type: "asset", fileName: "modules.json", source: JSON.stringify(modules) });
  },
};

/** Copies the other sources that a handoff is made of, so that a built server needs no sources. */
const copySources: Plugin = {
  name: "copy-sources",
  generateBundle() {
    const sheets = readdirSync(storefront, { recursive: true, encoding: "utf8" }).filter((name) =>
      name.endsWith(".css"),
    );
    for (const name of sheets)
      this.emitFile({
        type: "asset",
        fileName: `sheets/${name.replaceAll("\\", "/")}`,
        source: readFileSync(join(storefront, name)),
      });
    const types = join(import.meta.dirname, "src/server/handoff/trellis.d.ts");
    this.emitFile({ type: "asset", fileName: "trellis.d.ts", source: readFileSync(types) });
  },
};

const displays = readdirSync(join(storefront, "panel/displays"), { withFileTypes: true })
  .filter((entry) => entry.isDirectory())
  .map(({ name }) => name);

/** The elements and each display's view as CommonJS modules, which can be joined without a bundler. */
const modules: UserConfig = {
  plugins: [modulesAsJson, copySources],
  build: {
    emptyOutDir: true,
    rollupOptions: {
      input: {
        define: join(storefront, "handoff/define.ts"),
        views: join(storefront, "panel/displays/views.ts"),
        ...Object.fromEntries(displays.map((name) => [name, join(storefront, `panel/displays/${name}/view.tsx`)])),
      },
      preserveEntrySignatures: "strict",
      output: {
        format: "cjs",
        entryFileNames: "[name].js",
        chunkFileNames: "_[name].js",
        generatedCode: { symbols: false },
        // Modules that several need are in one piece, which packs tighter, but for those that only some displays need.
        codeSplitting: {
          groups: [
            {
              name: "shared",
              minShareCount: 2,
              test: (id) => !/catalogue\/numbers|d3-|range-|swatch|view\.tsx/.test(id),
            },
          ],
        },
      },
    },
  },
};

/** A script that stands alone. */
const standalone = (name: string, format: "iife" | "es"): UserConfig => ({
  build: {
    emptyOutDir: false,
    rollupOptions: {
      input: join(storefront, `handoff/${name}.ts`),
      output: { codeSplitting: false, format, entryFileNames: `${name}.js` },
    },
  },
});

/**
 * The scripts of handoffs, built once with the tool: `--mode modules` the elements and views, `--mode engine` the
 * engine, which the elements load, `--mode loader` the script whose name never changes, `--mode visits` what tells
 * visits, `--mode check` what checks a page.
 */
export default defineConfig(({ mode }) => {
  const { plugins = [], build } =
    mode === "modules" ? modules : standalone(mode, ["engine", "loader"].includes(mode) ? "iife" : "es");
  return {
    root: storefront,
    publicDir: false,
    plugins,
    build: {
      ...build,
      outDir: join(import.meta.dirname, "dist/handoff"),
      target: "es2022",
      modulePreload: false,
      minify: true,
      rollupOptions: { ...build?.rollupOptions, treeshake },
    },
  };
});

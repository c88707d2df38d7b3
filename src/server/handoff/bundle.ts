import { join } from "node:path";
import { gzipSync } from "node:zlib";
import { LRUCache } from "lru-cache";
import type { DisplayName } from "../../core/displays/displays.ts";
import type { CountingFile } from "../../storefront/handoff/fetch-counting.ts";
import { treeshake } from "../../storefront/treeshake.ts";
import { repository } from "../repository.ts";
import { hashed, integrityOf } from "./names.ts";

const storefront = join(repository, "src/storefront");
const entry = "trellis-entry";
const made = new LRUCache<string, Promise<string>>({ max: 30 });

/** The scripts of a handoff. */
export interface Scripts {
  /** Both elements, and the views of the displays in use. */
  script: string;
  /** The engine, loaded by the other script. */
  engine: string;
}

/** Bundles the scripts of a handoff, each variant once. */
export async function bundle(displays: readonly DisplayName[]): Promise<Scripts> {
  const engine = await once("engine", () => bundled(engineCode, "iife"));
  const names = [...new Set(displays)].sort();
  const file: CountingFile = { name: engineName(engine), integrity: integrityOf(engine) };
  return { script: await once(names.join(), () => bundled(scriptCode(names, file), "es")), engine };
}

/** The name of the engine's script. */
export const engineName = (engine: string | Uint8Array): string => hashed("engine.js", engine);

/** Size of a text in bytes, gzipped. */
export const gzippedSize = (text: string | Uint8Array): number => gzipSync(text, { level: 9 }).length;

function once(key: string, make: () => Promise<string>): Promise<string> {
  const script = made.get(key) ?? make();
  made.set(key, script);
  script.catch(() => made.delete(key));
  return script;
}

const path = (file: string) => JSON.stringify(join(storefront, file));

const engineCode = `import { counting } from ${path("handoff/counting.ts")}; globalThis.trellisCounting = counting;`;

const scriptCode = (displays: readonly DisplayName[], counting: CountingFile): string =>
  [
    `import { putView } from ${path("panel/displays/views.ts")};`,
    `import { defineElements } from ${path("handoff/define.ts")};`,
    ...displays.map((name, at) => `import { view as view${at} } from ${path(`panel/displays/${name}/view.tsx`)};`),
    ...displays.map((name, at) => `putView(${JSON.stringify(name)}, view${at});`),
    `defineElements(${JSON.stringify(counting)});`,
  ].join("\n");

async function bundled(code: string, format: "es" | "iife"): Promise<string> {
  // Loaded on demand: it is large, and most servers never bundle a script.
  const { build } = await import("vite");
  const output = await build({
    configFile: false,
    root: storefront,
    logLevel: "silent",
    publicDir: false,
    plugins: [
      {
        name: entry,
        resolveId: (id) => (id === entry ? id : undefined),
        load: (id) => (id === entry ? code : undefined),
      },
    ],
    build: {
      write: false,
      target: "es2022",
      modulePreload: false,
      minify: true,
      rollupOptions: {
        input: entry,
        treeshake,
        output: { codeSplitting: false, format, entryFileNames: "trellis.js" },
      },
    },
  });
  const [first] = Array.isArray(output) ? output : [output];
  const chunk = first && "output" in first ? first.output.find((one) => one.type === "chunk") : undefined;
  if (!chunk)
    throw new Error(
      "The script of the handoff couldn’t be built. Install the packages again with npm ci, then try again.",
    );
  return chunk.code;
}

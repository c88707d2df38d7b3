import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { gzipSync } from "node:zlib";
import { LRUCache } from "lru-cache";
import { build } from "vite";
import type { DisplayName } from "../../core/display/displays.ts";
import { folderOf } from "../../storefront/panel/displays/sheets.ts";
import { treeshake } from "../../storefront/treeshake.ts";

const storefront = join(dirname(fileURLToPath(import.meta.url)), "../../storefront");
const entry = "trellis-entry";
const made = new LRUCache<string, Promise<string>>({ max: 30 });

/** The script of a handoff: both elements, the engine, and the views of the displays that are used and no others. */
export function bundle(displays: readonly DisplayName[]): Promise<string> {
  const names = [...new Set(displays)].sort();
  const key = names.join(",");
  const known = made.get(key);
  if (known) return known;
  const script = bundled(names);
  made.set(key, script);
  script.catch(() => made.delete(key));
  return script;
}

/** Bytes of a text as it goes over the wire, gzipped. */
export const gzippedSize = (text: string | Uint8Array): number => gzipSync(text, { level: 9 }).length;

async function bundled(displays: readonly DisplayName[]): Promise<string> {
  const path = (file: string) => JSON.stringify(join(storefront, file));
  const code = [
    `import { putView } from ${path("panel/displays/views.ts")};`,
    `import { defineElements } from ${path("handoff/define.ts")};`,
    ...displays.map(
      (name, at) => `import { View as View${at} } from ${path(`panel/displays/${folderOf(name)}/view.tsx`)};`,
    ),
    ...displays.map((name, at) => `putView(${JSON.stringify(name)}, View${at});`),
    "defineElements();",
  ].join("\n");
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
        output: { codeSplitting: false, entryFileNames: "trellis.js" },
      },
    },
  });
  const [first] = Array.isArray(output) ? output : [output];
  const chunk = first && "output" in first ? first.output.find((one) => one.type === "chunk") : undefined;
  if (!chunk) throw new Error("The script of the handoff could not be put together.");
  return chunk.code;
}

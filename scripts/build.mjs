import { createHash } from "node:crypto";
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { root, run, stop } from "./install.mjs";

const sources = [
  "src",
  // The server that is built has the demo shop's documents in it.
  "demo",
  "vite.config.ts",
  "vite.storefront.config.ts",
  "vite.server.config.ts",
  "vite.handoff.config.ts",
  "vite.packed.ts",
  "package-lock.json",
];

const mark = join(root, "dist/.built");

/** Whether what was built is of these very sources. */
export const isBuilt = (state = fingerprint()) => existsSync(mark) && readFileSync(mark, "utf8") === state;

/** Builds the studio, the storefront, and what runs on Node.js, unless that is done. */
export function ensureBuilt() {
  // Taken before: what is changed while it builds is not in it.
  const state = fingerprint();
  if (isBuilt(state)) return;
  console.log("Building …");
  for (const [config, mode] of /** @type {const} */ ([
    ["vite.storefront.config.ts", "production"],
    ["vite.handoff.config.ts", "modules"],
    ["vite.handoff.config.ts", "engine"],
    ["vite.handoff.config.ts", "loader"],
    ["vite.handoff.config.ts", "visits"],
    ["vite.handoff.config.ts", "check"],
    ["vite.server.config.ts", "production"],
    ["vite.config.ts", "production"],
  ])) {
    if (!run("npx", ["vite", "build", "--config", config, "--mode", mode, "--logLevel", "warn"]))
      stop("The build failed.");
  }
  writeFileSync(mark, state);
}

/** Names, sizes and contents of all sources, as one hash. */
function fingerprint() {
  const hash = createHash("sha256");
  /** @param {string} path */
  const walk = (path) => {
    if (statSync(path).isDirectory()) {
      for (const name of readdirSync(path).sort()) walk(join(path, name));
    } else hash.update(`${path}\0`).update(readFileSync(path));
  };
  for (const source of sources) walk(join(root, source));
  return hash.digest("hex");
}

import { fork } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { ensurePackages, root, stop } from "./install.mjs";

const sources = [
  "src",
  // The server that is built has the demo shop's documents in it.
  "demo",
  // The help is made of it.
  "docs/glossary.md",
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

/** What is built, as configuration and mode: the studio takes as long as all the others, which follow each other. */
const studio = ["vite.config.ts:production"];
const others = [
  "vite.storefront.config.ts:production",
  "vite.handoff.config.ts:modules",
  "vite.handoff.config.ts:engine",
  "vite.handoff.config.ts:loader",
  "vite.handoff.config.ts:visits",
  "vite.handoff.config.ts:check",
  "vite.server.config.ts:production",
];

/** Builds the studio, the storefront, and what runs on Node.js, with the packages for it, unless that is done. */
export async function ensureBuilt() {
  ensurePackages({ forTests: false });
  // Taken before: what is changed while it builds is not in it.
  const state = fingerprint();
  if (isBuilt(state)) return;
  const count = studio.length + others.length;
  let built = 0;
  const progress = () => {
    built += 1;
    console.log(`Building ${"█".repeat(built)}${"░".repeat(count - built)} ${built} of ${count}`);
  };
  console.log(`Building ${"░".repeat(count)}`);
  const ended = await Promise.all([buildAll(studio, progress), buildAll(others, progress)]);
  if (ended.includes(false)) stop("The build failed.");
  writeFileSync(mark, state);
}

/**
 * Builds one after another in a process of their own.
 * @param {readonly string[]} list configurations with their modes
 * @param {() => void} progress called after each
 * @returns {Promise<boolean>} whether all were built
 */
function buildAll(list, progress) {
  return new Promise((resolve) => {
    fork(join(root, "scripts/vite-builds.mjs"), list, { cwd: root })
      .on("message", progress)
      .on("exit", (code) => resolve(code === 0));
  });
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

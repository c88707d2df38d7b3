import { spawnSync } from "node:child_process";
import { accessSync, constants } from "node:fs";
import { delimiter, join } from "node:path";
import { run, stop } from "./install.mjs";

/**
 * Debian's Chromium, by the names of its programs. The first draws the same pages without a window of its own, which
 * takes the tests a quarter less time.
 */
const programs = ["chromium-headless-shell", "chromium"];

/** @returns where this machine has the best of {@link programs}; undefined where it has none */
export function findBrowser() {
  const folders = (process.env.PATH ?? "").split(delimiter);
  return programs.flatMap((name) => folders.map((folder) => join(folder, name))).find(mayRun);
}

/** Sees to it that there is a browser: installed where none is there and this account may install packages. */
export function ensureBrowser() {
  if (findBrowser()) return;
  const [best = ""] = programs;
  const may = process.getuid?.() === 0 && spawnSync("apt-get", ["--version"]).status === 0;
  if (!may) stop(`The tests need Chromium as “${programs.join("” or “")}”. On Debian: sudo apt-get install ${best}`);
  console.log(`Chromium is missing. Installing the packages ${best} and fonts-dejavu-core with apt-get …`);
  const env = { ...process.env, DEBIAN_FRONTEND: "noninteractive" };
  /** @param {string[]} words */
  const apt = (...words) => run("apt-get", words, { env, stdio: ["ignore", "ignore", "inherit"] });
  /** @param {string} name */
  const install = (name) => apt("install", "-y", "--no-install-recommends", name, "fonts-dejavu-core");
  // Older releases have the second alone.
  if (!apt("update") || !programs.some(install))
    stop("Chromium could not be installed. Install it by hand and run the tests again.");
}

/** @param {string} path */
function mayRun(path) {
  try {
    accessSync(path, constants.X_OK);
    return true;
  } catch {
    return false;
  }
}

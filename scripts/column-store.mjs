import { spawnSync } from "node:child_process";
import { run } from "./install.mjs";

const name = "clickhouse-server";

/** Whether this machine has the column store that some tests ask. */
export const hasColumnStore = () => spawnSync(name, ["--version"]).error === undefined;

/**
 * Sees to it that there is a column store: installed where none is there and this account may install packages. The
 * tests that need it are skipped without one.
 */
export function ensureColumnStore() {
  if (hasColumnStore()) return;
  if (process.getuid?.() !== 0 || spawnSync("apt-get", ["--version"]).status !== 0) return;
  console.log(`Installing the package ${name} with apt-get …`);
  const env = { ...process.env, DEBIAN_FRONTEND: "noninteractive" };
  /** @param {string[]} words */
  const apt = (...words) => run("apt-get", words, { env, stdio: "ignore" });
  const install = () => apt("install", "-y", "--no-install-recommends", name);
  if (!install() && apt("update")) install();
}

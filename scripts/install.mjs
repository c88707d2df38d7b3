import { spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { dirname, join, resolve } from "node:path";
import { fileURLToPath } from "node:url";

/** Folder of the repository. */
export const root = resolve(dirname(fileURLToPath(import.meta.url)), "..");

const wanted = /** @type {const} */ ([20, 19]);

/**
 * Runs a command with its output on the terminal.
 * @param {string} command
 * @param {readonly string[]} args
 * @param {import("node:child_process").SpawnSyncOptions} options
 * @returns whether it succeeded
 */
export function run(command, args, options = {}) {
  return spawnSync(command, args, { cwd: root, stdio: "inherit", ...options }).status === 0;
}

/** Installs the packages of package-lock.json unless they are there already. */
export function ensurePackages() {
  const [major = 0, minor = 0] = process.versions.node.split(".").map(Number);
  const [leastMajor, leastMinor] = wanted;
  if (major < leastMajor || (major === leastMajor && minor < leastMinor)) {
    stop(`Node.js ${process.versions.node} is too old. Install ${wanted.join(".")} or newer.`);
  }
  const mark = join(root, "node_modules/.trellis-lock");
  const text = readFileSync(join(root, "package-lock.json"), "utf8");
  const lock = createHash("sha256").update(text).digest("hex");
  if (existsSync(mark) && readFileSync(mark, "utf8") === lock) return;
  if (areInstalled(text)) {
    writeFileSync(mark, lock);
    return;
  }
  // On standard error, since a command's standard output may be data.
  console.error("Installing packages …");
  if (!run("npm", ["ci", "--no-audit", "--no-fund", "--loglevel=error"], { stdio: ["ignore", 2, 2] }))
    stop("The packages could not be installed.");
  writeFileSync(mark, lock);
}

/**
 * Whether somebody has installed these very packages already: installing again would take them from under what runs.
 * @param {string} lock text of package-lock.json
 */
function areInstalled(lock) {
  try {
    /** @type {Record<string, { version?: string }>} */
    const there = JSON.parse(readFileSync(join(root, "node_modules/.package-lock.json"), "utf8")).packages;
    /** @type {[string, { version?: string, optional?: boolean }][]} */
    const wanted = Object.entries(JSON.parse(lock).packages);
    return wanted.every(
      ([path, { version, optional }]) =>
        path === "" || optional === true || (there[path]?.version === version && existsSync(join(root, path))),
    );
  } catch {
    return false;
  }
}

/**
 * Ends with a message.
 * @param {string} message
 * @returns {never}
 */
export function stop(message) {
  process.stderr.write(`${message}\n`);
  process.exit(1);
}

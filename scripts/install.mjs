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

/**
 * Installs the packages of package-lock.json unless they are there already.
 * @param {{ forTests?: boolean }} [for_] whether those are needed that only tests, benches and scripts use; default: yes
 */
export function ensurePackages({ forTests = true } = {}) {
  const [major = 0, minor = 0] = process.versions.node.split(".").map(Number);
  const [leastMajor, leastMinor] = wanted;
  if (major < leastMajor || (major === leastMajor && minor < leastMinor)) {
    stop(`Node.js ${process.versions.node} is too old. Install ${wanted.join(".")} or newer.`);
  }
  const mark = join(root, "node_modules/.trellis-lock");
  const text = readFileSync(join(root, "package-lock.json"), "utf8");
  const lock = createHash("sha256").update(text).digest("hex");
  const all = `${lock} with tests`;
  const there = existsSync(mark) ? readFileSync(mark, "utf8") : "";
  if (there === all || (!forTests && there === lock)) return;
  if (areInstalled(text, forTests)) {
    writeFileSync(mark, forTests ? all : lock);
    return;
  }
  // On standard error, since a command's standard output may be data.
  console.error("Installing packages …");
  const omitted = forTests ? [] : ["--omit=dev"];
  if (!run("npm", ["ci", ...omitted, "--no-audit", "--no-fund", "--loglevel=error"], { stdio: ["ignore", 2, 2] }))
    stop("The packages could not be installed. Check the connection to the npm registry and try again.");
  writeFileSync(mark, forTests ? all : lock);
}

/**
 * Whether somebody has installed these very packages already: installing again would take them from under what runs.
 * @param {string} lock text of package-lock.json
 * @param {boolean} forTests
 */
function areInstalled(lock, forTests) {
  try {
    /** @type {Record<string, { version?: string }>} */
    const there = JSON.parse(readFileSync(join(root, "node_modules/.package-lock.json"), "utf8")).packages;
    /** @type {[string, { version?: string, optional?: boolean, dev?: boolean, devOptional?: boolean }][]} */
    const wanted = Object.entries(JSON.parse(lock).packages);
    return wanted.every(
      ([path, { version, optional, dev, devOptional }]) =>
        path === "" ||
        optional === true ||
        (!forTests && (dev === true || devOptional === true)) ||
        (there[path]?.version === version && existsSync(join(root, path))),
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

/** `npm test`: lint, types, unit tests and end-to-end tests; the last line adds up the runners' own reports. */
import { spawnSync } from "node:child_process";
import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { ensureBuilt } from "./build.mjs";
import { ensurePackages, root, run, stop } from "./install.mjs";

ensurePackages();
ensureBrowser();
const reports = join(root, "reports");
rmSync(reports, { recursive: true, force: true });
mkdirSync(reports);
let passed = 0;
let failed = 0;
let sound = true;

section("Lint");
sound = run("npx", ["biome", "ci", "--error-on-warnings"]) && sound;
section("Types");
for (const project of ["tsconfig.json", "src/core/tsconfig.json"]) sound = run("npx", ["tsc", "--project", project]) && sound;

section("Unit tests");
const unit = join(reports, "unit.json");
sound = run("npx", ["vitest", "run", "--reporter=default", "--reporter=json", `--outputFile.json=${unit}`]) && sound;
const units = readReport(unit);
passed += units?.numPassedTests ?? 0;
failed += units?.numFailedTests ?? 0;

section("End-to-end tests");
ensureBuilt();
const ends = join(reports, "end-to-end.json");
sound = run("npx", ["playwright", "test"], { env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: ends } }) && sound;
const ended = readReport(ends);
passed += (ended?.stats.expected ?? 0) + (ended?.stats.flaky ?? 0);
failed += ended?.stats.unexpected ?? 0;

// A runner that broke down, or a lint or type error, has no test to count and still fails the run.
if (!units || !ended || (!sound && failed === 0)) failed += 1;
console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 || !sound ? 1 : 0;

function section(name) {
  console.log(`\n== ${name}`);
}

function readReport(file) {
  return existsSync(file) ? JSON.parse(readFileSync(file, "utf8")) : undefined;
}

/** Debian's Chromium; installed when it is missing and this account may. */
function ensureBrowser() {
  if (spawnSync("chromium", ["--version"]).status === 0) return;
  if (process.getuid?.() !== 0) stop("The tests need Chromium. Install it: sudo apt-get install chromium");
  console.log("Installing Chromium …");
  const env = { ...process.env, DEBIAN_FRONTEND: "noninteractive" };
  const apt = (...args) => run("apt-get", args, { env, stdio: ["ignore", "ignore", "inherit"] });
  if (!apt("update") || !apt("install", "-y", "--no-install-recommends", "chromium", "fonts-dejavu-core")) stop("Chromium could not be installed.");
}

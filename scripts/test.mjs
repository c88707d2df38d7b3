/**
 * `npm test`: lint, types, unit tests and end-to-end tests; the last line adds up the runners' own reports.
 * `npm run test:unit -- NAME` and `npm run test:e2e -- NAME` run one of the two, with what the runner itself takes.
 */
import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { ensureBrowser } from "./browser.mjs";
import { ensureBuilt } from "./build.mjs";
import { ensureColumnStore, hasColumnStore } from "./column-store.mjs";
import { ensurePackages, root, run } from "./install.mjs";

const [part, ...args] = process.argv.slice(2);
ensurePackages();
if (part !== "unit") ensureBrowser();
if (part !== "e2e") ensureColumnStore();
const reports = join(root, "reports");

if (part === "unit") process.exit(run("npx", ["vitest", "run", ...args]) ? 0 : 1);
if (part === "e2e") {
  await ensureBuilt();
  process.exit(run("npx", ["playwright", "test", "--reporter=list", ...args]) ? 0 : 1);
}

rmSync(reports, { recursive: true, force: true });
mkdirSync(reports);
let passed = 0;
let failed = 0;
let sound = true;

section("Lint");
sound = run("npx", ["biome", "ci", "--error-on-warnings"]) && sound;
sound = run("node", ["scripts/wording.mjs"]) && sound;
section("Types");
for (const project of [
  ["--project", "tsconfig.json"],
  ["--project", "scripts/tsconfig.json"],
  ["--build", "src/studio", "src/server", "src/cli"],
])
  sound = run("npx", ["tsc", ...project]) && sound;

section("Unit tests");
const unit = join(reports, "unit.json");
sound = run("npx", ["vitest", "run", "--reporter=default", "--reporter=json", `--outputFile.json=${unit}`]) && sound;
const units = readReport(unit);
passed += units?.numPassedTests ?? 0;
failed += units?.numFailedTests ?? 0;

section("End-to-end tests");
await ensureBuilt();
const ends = join(reports, "end-to-end.json");
sound = run("npx", ["playwright", "test"], { env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: ends } }) && sound;
const ended = readReport(ends);
passed += (ended?.stats.expected ?? 0) + (ended?.stats.flaky ?? 0);
failed += ended?.stats.unexpected ?? 0;
for (const name of flakyIn(ended)) console.log(`Flaky, passed at its second try; fix it first: ${name}`);

if (!hasColumnStore())
  console.log(
    "Skipped: tests/unit/column-store.test.ts, since this machine has no clickhouse-server (a Debian package).",
  );

// A runner that broke down, or a lint or type error, has no test to count and still fails the run.
if (!units || !ended || (!sound && failed === 0)) failed += 1;
console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 || !sound ? 1 : 0;

/** @param {string} name */
function section(name) {
  console.log(`\n== ${name}`);
}

/**
 * Names of the end-to-end tests that passed at a second try only.
 * @param {{ title?: string, file?: string, suites?: any[], specs?: { title: string, file: string, tests: { status: string }[] }[] } | undefined} suite
 * @returns {string[]}
 */
function flakyIn(suite) {
  const own = (suite?.specs ?? []).filter(({ tests }) => tests.some(({ status }) => status === "flaky"));
  return [...own.map(({ file, title }) => `${file}: ${title}`), ...(suite?.suites ?? []).flatMap(flakyIn)];
}

/** @param {string} file */
function readReport(file) {
  return existsSync(file) ? JSON.parse(readFileSync(file, "utf8")) : undefined;
}

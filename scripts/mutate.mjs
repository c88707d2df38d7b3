/**
 * Mutation test: changes one operator at a time in a copy of the core's engine and report, runs the tests about them,
 * and lists the changes that no test notices.
 *
 * Usage: node scripts/mutate.mjs [COUNT] [SEED]
 * COUNT mutants are drawn at random (all by default); SEED is 1 by default.
 */
import { spawn } from "node:child_process";
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { parseSync } from "vite";

const [count = Number.POSITIVE_INFINITY, seed = 1] = process.argv.slice(2).map(Number);
const rooms = ["src/core/engine", "src/core/report"];
/** Most mutants fail the first tests, which are quick; only those that pass are run with the others. */
const quick = ["src/core/engine", "src/core/report"];
const others = [
  ...["src/core/recount", "src/core/findings", "src/core/page", "src/core/profile", "src/core/rehearsal/walk.test.ts"],
  ...["src/storefront", "tests/unit/counts", "tests/unit/independent", "tests/unit/pages.test", "tests/unit/page-data"],
];
/** @type {Readonly<Record<string, string>>} */
const flipped = {
  "<": "<=",
  "<=": "<",
  ">": ">=",
  ">=": ">",
  "===": "!==",
  "!==": "===",
  "+": "-",
  "-": "+",
  "*": "/",
  "/": "*",
  "%": "*",
  "&": "|",
  "|": "&",
  "<<": ">>>",
  ">>>": "<<",
  "&&": "||",
  "||": "&&",
  "??": "&&",
  "+=": "-=",
  "-=": "+=",
  "|=": "&=",
  "&=": "|=",
  "++": "--",
  "--": "++",
};

/**
 * Every operator and boolean of a file that can be changed: where it is, and what takes its place.
 *
 * @param {string} file
 */
function mutantsOf(file) {
  const code = readFileSync(file, "utf8");
  /** @type {{ file: string, from: number, to: number, text: string, line: number }[]} */
  const found = [];
  const put = (/** @type {number} */ from, /** @type {number} */ to, /** @type {string} */ text) =>
    found.push({ file, from, to, text, line: code.slice(0, from).split("\n").length });
  /** @param {any} node of the syntax tree, or a value in one */
  const visit = (node) => {
    if (!node || typeof node !== "object") return;
    if (Array.isArray(node)) return node.forEach(visit);
    if (typeof node.type === "string" && /^TS(?!AsExpression|NonNull|SatisfiesExpression)/.test(node.type)) return;
    const next = flipped[node.operator] ?? "";
    if (next && node.left && node.right) {
      const between = code.slice(node.left.end, node.right.start);
      const at = node.left.end + between.indexOf(node.operator);
      put(at, at + node.operator.length, next);
    } else if (node.type === "UpdateExpression") {
      const at = node.prefix ? node.start : node.end - 2;
      put(at, at + 2, next);
    } else if (node.type === "UnaryExpression" && node.operator === "!") put(node.start, node.start + 1, "");
    else if (node.type === "Literal" && typeof node.value === "boolean") put(node.start, node.end, String(!node.value));
    for (const [key, value] of Object.entries(node)) if (key !== "parent") visit(value);
  };
  visit(parseSync(file, code).program);
  return found;
}

let state = seed;
const random = () => {
  state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
  return state / 2 ** 32;
};
const all = rooms
  .flatMap((room) => readdirSync(room, { recursive: true, encoding: "utf8" }).map((path) => join(room, path)))
  .filter((path) => path.endsWith(".ts") && !path.endsWith(".test.ts"))
  .flatMap(mutantsOf);
const drawn = all
  .map((one) => ({ one, order: random() }))
  .sort((a, b) => a.order - b.order)
  .slice(0, count)
  .map(({ one }) => one);

const here = mkdtempSync(join(tmpdir(), "trellis-mutants-"));
for (const folder of ["src", "demo", "tests"]) cpSync(folder, join(here, folder), { recursive: true });
for (const file of ["package.json", "tsconfig.json", "tsconfig.base.json", "vitest.config.ts"])
  cpSync(file, join(here, file));
symlinkSync(resolve("node_modules"), join(here, "node_modules"));
/** Whether the tests pass. A mutant that loops for ever is ended with all processes of its run. */
const passes = (/** @type {string[]} */ tests) =>
  new Promise((done) => {
    const child = spawn(process.execPath, [join(here, "node_modules/vitest/vitest.mjs"), "run", "--bail=1", ...tests], {
      cwd: here,
      detached: true,
      stdio: "ignore",
    });
    const end = () => {
      try {
        process.kill(-Number(child.pid), "SIGKILL");
      } catch {
        // It has ended by itself.
      }
    };
    const timer = setTimeout(end, 120_000);
    child.on("exit", (code) => {
      clearTimeout(timer);
      end();
      done(code === 0);
    });
  });

if (!(await passes([...quick, ...others]))) throw new Error("The tests fail without a mutant.");
let killed = 0;
for (const [at, { file, from, to, text, line }] of drawn.entries()) {
  const code = readFileSync(file, "utf8");
  writeFileSync(join(here, file), code.slice(0, from) + text + code.slice(to));
  const survives = (await passes(quick)) && (await passes(others));
  writeFileSync(join(here, file), code);
  if (survives) console.log(`survived: ${file}:${line} ${code.slice(from, to)} → ${text || "nothing"}`);
  else killed++;
  if ((at + 1) % 10 === 0) console.log(`${killed} of ${at + 1} killed`);
}
rmSync(here, { recursive: true, force: true });
console.log(
  `${killed} of ${drawn.length} mutants killed (${Math.round((100 * killed) / drawn.length)}%), of ${all.length}.`,
);

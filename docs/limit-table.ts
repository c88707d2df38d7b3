/** Writes the table of limits into docs/running.md: `npm run docs`. */
import { readFileSync, writeFileSync } from "node:fs";
import { pathToFileURL } from "node:url";
import { limits, limitText } from "../src/core/sanitize/limits.ts";

const page = "docs/running.md";
const [begin, end] = ["<!-- limits: written by npm run docs -->", "<!-- end of limits -->"];

/** The page with the table as the code has it. @throws Error where the page does not mark its place */
export function runningPage(now = readFileSync(page, "utf8")): string {
  const [before, rest] = now.split(begin);
  const after = rest?.split(end)[1];
  if (before === undefined || after === undefined) throw new Error(`${page} does not say where the limits stand.`);
  const rows = Object.entries(limits).map(([name, limit]) => `| \`${name}\` | ${limitText(limit)} | ${limit.of} |`);
  return `${before}${begin}\n| limit | at most | of |\n|---|---|---|\n${rows.join("\n")}\n${end}${after}`;
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? "").href) writeFileSync(page, runningPage());

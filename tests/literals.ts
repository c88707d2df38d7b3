import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import type { Diagnostics } from "recheck";
import { parseSync } from "vite";

/** A regular expression as it is written in a source file. */
export interface Literal {
  place: string;
  pattern: string;
  flags: string;
}

/** All regular expressions of the sources, and the files that build some of parts. */
export function expressionsInSources(): { literals: Literal[]; built: string[] } {
  const literals: Literal[] = [];
  const built: string[] = [];
  const sources = ["src", "demo"].flatMap((folder) =>
    readdirSync(folder, { recursive: true, encoding: "utf8" })
      .filter((name) => /(?<!\.d|\.test)\.tsx?$/.test(name))
      .map((name) => join(folder, name)),
  );
  for (const file of sources) {
    const text = readFileSync(file, "utf8");
    const place = (at: number) => `${file}:${text.slice(0, at).split("\n").length}`;
    const visit = (node: unknown): void => {
      if (Array.isArray(node)) for (const one of node) visit(one);
      else if (typeof node === "object" && node !== null) {
        const { type, regex, callee, start } = node as {
          type?: string;
          regex?: { pattern: string; flags: string };
          callee?: { name?: string };
          start: number;
        };
        if (type === "Literal" && regex) literals.push({ place: place(start), ...regex });
        if ((type === "NewExpression" || type === "CallExpression") && callee?.name === "RegExp") built.push(file);
        for (const inner of Object.values(node)) visit(inner);
      }
    };
    visit(parseSync(file, text).program);
  }
  return { literals, built: built.sort() };
}

/** How an expression is named in the list of those that are known to be linear. */
export const writtenOf = ({ pattern, flags }: Pick<Literal, "pattern" | "flags">): string => `/${pattern}/${flags}`;
export const safeList = "tests/unit/expressions.safe.json";

/** How an expression was judged, in a few words. */
export const summaryOf = (found: Diagnostics): string =>
  found.status === "vulnerable" ? found.complexity.summary : found.status;

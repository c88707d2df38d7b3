import { writeFileSync } from "node:fs";
import { check } from "recheck";
import { expressionsInSources, safeList, summaryOf, writtenOf } from "../literals.ts";
import type { Attack } from "./attack.ts";

/** How long an expression may take over any of the texts, in ms. */
const deadline = 50;
const length = 50_000;

/** Texts that make an expression with repeats that overlap take long: one thing again and again, and then something else. */
function evilTexts(pattern: string): string[] {
  // Letters that the expression itself speaks of, and those that its classes stand for.
  const own = [...new Set(pattern.replace(/\\[wdsbWDSB]/g, "a0 ").replace(/[\\^$*+?{}|]/g, ""))].slice(0, 24);
  const parts = [...own, " ", "a", "0", "1,", "a ", "<", "(", "--", "/*", "\t", "é", "aa-", "0.0"];
  return parts.flatMap((part) => {
    const body = part.repeat(Math.ceil(length / part.length));
    return [body, `${body}\u0000`, `x${body}!`];
  });
}

/** Every regular expression of the sources: by analysis, and against families of evil texts with a deadline. */
export const expressions: Attack = {
  name: "regular expressions",
  async run() {
    const { literals } = expressionsInSources();
    const failures: string[] = [];
    const safe: string[] = [];
    let [tries, slowest, where] = [0, 0, ""];
    for (const literal of new Map(literals.map((one) => [writtenOf(one), one])).values()) {
      const { place, pattern, flags } = literal;
      const found = await check(pattern, flags, { timeout: 30_000 });
      if (found.status === "safe") safe.push(writtenOf(literal));
      else failures.push(`${place} ${writtenOf(literal)}: ${summaryOf(found)}`);
      const expression = new RegExp(pattern, flags);
      for (const text of evilTexts(pattern)) {
        tries++;
        expression.lastIndex = 0;
        const start = performance.now();
        if (flags.includes("g")) text.replace(expression, "");
        else expression.test(text);
        const took = performance.now() - start;
        if (took > slowest) [slowest, where] = [took, place];
        if (took > deadline)
          failures.push(`${place} ${writtenOf(literal)}: ${Math.round(took)} ms over ${text.slice(0, 8)}…`);
      }
    }
    writeFileSync(safeList, `${JSON.stringify(safe.sort(), null, 2)}\n`);
    return {
      tries,
      failures,
      measured: `${safe.length} expressions, the slowest ${slowest.toFixed(1)} ms over ${length.toLocaleString("en")} letters (${where})`,
    };
  },
};

import { readFileSync } from "node:fs";
import { check } from "recheck";
import { describe, expect, it } from "vitest";
import { isNumberWith } from "../../src/core/catalogue/numbers/plain-number.ts";
import { expressionsInSources, safeList, summaryOf, writtenOf } from "../literals.ts";

const { literals, built } = expressionsInSources();

/** Expressions that were found to be linear. The analysis draws some of its texts at random, and takes a while: `npm run attack` does it again for all. */
const safe: ReadonlySet<string> = new Set(JSON.parse(readFileSync(safeList, "utf8")));

// Source: the analysis of `recheck`, which finds the texts that make an expression take longer than their length.
describe("regular expressions", () => {
  it("are linear, every one in the sources", { timeout: 120_000 }, async () => {
    expect(literals.length).toBeGreaterThan(200);
    const found = new Map(literals.map((one) => [writtenOf(one), one] as const).filter(([name]) => !safe.has(name)));
    const bad: string[] = [];
    const next = found.entries();
    // Two at a time: each is judged by a program of its own.
    const judge = async () => {
      for (const [written, { place, pattern, flags }] of next) {
        const found = await check(pattern, flags, { timeout: 20_000 });
        if (found.status !== "safe") bad.push(`${place} ${written}: ${summaryOf(found)}`);
      }
    };
    await Promise.all([judge(), judge()]);
    expect(bad).toEqual([]);
    // The check itself can fail.
    expect((await check("(a+)+$", "")).status).toBe("vulnerable");
  });

  it("that are built of parts are few, and known", () => {
    expect(built).toEqual([
      "src/core/catalogue/numbers/plain-number.ts",
      "src/core/shop/archive/read-folder.ts",
      "src/server/disk/owned-folder.ts",
      "src/server/handoff/sheet.ts",
      "src/storefront/panel/read-number.ts",
    ]);
  });

  it("for numbers with groups take no longer than the text", () => {
    for (const text of [`${"1,111".repeat(20_000)}x`, " ".repeat(100_000), `1${"'111".repeat(20_000)}x`])
      expect([isNumberWith(text, "."), isNumberWith(text, ",")]).toEqual([false, false]);
  });
});

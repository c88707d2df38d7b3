import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { expect, type Frame, type Page } from "./test.ts";

const source = readFileSync(createRequire(import.meta.url).resolve("axe-core/axe.min.js"), "utf8");

interface Violation {
  id: string;
  impact: string | null;
  nodes: { target: string[]; failureSummary?: string }[];
}

/** Expects that axe-core finds nothing serious or critical, on a page or in a part of it. Source: axe-core's own rules, WCAG 2.2 A and AA among them. */
export async function expectAccessible(page: Page | Frame, part = "html"): Promise<void> {
  // The shop's policy lets no foreign script in, so axe is run by the browser's debugger and not as a script element.
  if (!(await page.evaluate(() => "axe" in window))) await page.evaluate(source);
  const violations = await page.evaluate(async (part) => {
    // Fading elements are pale for a moment; endless animations are left out.
    const ending = document.getAnimations().filter(({ effect }) => effect?.getComputedTiming().endTime !== Infinity);
    await Promise.allSettled(ending.map(({ finished }) => finished));
    const { axe } = window as unknown as {
      axe: { run(context: unknown, options: unknown): Promise<{ violations: Violation[] }> };
    };
    return (
      await axe.run(
        { include: [[part]], exclude: [["iframe"]] },
        // No rule that is on by default wants style sheets or media fetched once more.
        { resultTypes: ["violations"], iframes: false, preload: false },
      )
    ).violations;
  }, part);
  const serious = violations
    .filter(({ impact }) => impact === "serious" || impact === "critical")
    .map(
      ({ id, nodes }) =>
        `${id}: ${nodes.map(({ target, failureSummary }) => `${target.join(" ")} (${failureSummary})`).join("; ")}`,
    );
  expect(serious).toEqual([]);
}

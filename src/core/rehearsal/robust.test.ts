import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { demoPanel } from "../../../demo/panel.ts";
import { boxes, factsOf, four, keys4, knowing, panelOf, run, sixteen } from "../../../tests/rehearsed.ts";
import { defaultAssumptions } from "./assumptions.ts";
import { compareWalks } from "./compare.ts";
import { robust } from "./robust.ts";
import { outcomeSpan, uncertainties } from "./span.ts";

/** A generator's final result. */
function ended<T>(search: Generator<unknown, T>): T {
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
  }
}

const nursery = factsOf(readFileSync("demo/nursery.csv"));

describe("how far the share that finds its product can be believed", () => {
  it("a span runs from what is assumed least to what is assumed most, and names what moves it", () => {
    const found = ended(
      outcomeSpan(knowing(keys4), (assumptions) => run(sixteen, four, { shoppers: 160, assumptions })),
    );
    // All is known and at most half of it: with four cards to look at nobody is lost, with half the knowledge some are.
    expect(found.most).toBe(1);
    expect(found.least).toBeLessThan(1);
    expect(found.swings[0]?.name).toBe("known");
    expect(found.swings).toHaveLength(uncertainties.length);
    for (const { atLow, atHigh, name } of found.swings)
      if (name === "first") expect(atHigh).toBeGreaterThanOrEqual(atLow);
  });

  it("a facet that helps is better whatever they know; one that parts nothing makes no difference", () => {
    const sides = (facts: typeof sixteen, before: typeof four, after: typeof four, known: readonly string[]) =>
      robust({ ...knowing(known), knows: Object.fromEntries(known.map((key) => [key, 0.6])) }, (assumptions) => [
        run(facts, before, { shoppers: 400, assumptions }),
        run(facts, after, { shoppers: 400, assumptions }),
      ]);
    const both = ["category", "flower-colour"];
    const { base, whatever } = sides(nursery, panelOf(boxes("category")), panelOf(...both.map(boxes)), both);
    expect([base.differs, base.mean > 0, whatever]).toEqual([true, true, true]);
    expect(sides(sixteen, four, four, keys4)).toMatchObject({ base: { mean: 0, differs: false }, whatever: false });
    // Of sixteen products everybody finds theirs who looks at 24 of them: there the second facet makes no difference.
    const small = sides(sixteen, panelOf(boxes("a")), panelOf(boxes("a"), boxes("b")), keys4);
    expect([small.base.differs, small.high.differs, small.whatever]).toEqual([true, false, false]);
  });

  it("two panels that are alike differ, with shoppers of their own, by chance alone: in at most 2 of 40 seeds", () => {
    const told = Array.from({ length: 40 }, (_, seed) => {
      const walks = (own: number) =>
        run(nursery, demoPanel, { shoppers: 200, seed: own, assumptions: defaultAssumptions });
      return compareWalks(walks(seed + 1), walks(seed + 1001)).some(({ differs }) => differs);
    });
    expect(told.filter(Boolean).length).toBeLessThanOrEqual(2);
  });
});

import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bootstrap, compareWalks, holm } from "./compare.ts";
import { seededRandom } from "./seeded-random.ts";
import type { Walk } from "./walk.ts";

/** Walks that differ by known amounts, for trying the comparison. */
const fake = (seconds: number, n: number, arrived = true): Walk => ({
  n,
  target: 0,
  ending: arrived ? "arrived" : "patience",
  moves: [],
  deadEnds: [],
  seconds,
  px: 0,
  left: 1,
});
/** Sum of twelve draws less six: near enough to a standard normal number. Source: the central limit theorem. */
const normal = (...names: (string | number)[]) =>
  Array.from({ length: 12 }, (_, k) => seededRandom(...names, k)).reduce((sum, x) => sum + x, -6);

describe("a comparison", () => {
  it("has an interval that covers a known difference in 92 to 98% of 500 trials, and cries wolf in at most 7%", () => {
    let covered = 0;
    let alarms = 0;
    for (let trial = 0; trial < 500; trial++) {
      const differences = Array.from({ length: 100 }, (_, n) => 0.5 + 2 * normal("known", trial, n));
      const { low, high } = bootstrap(differences, `known ${trial}`);
      if (low <= 0.5 && 0.5 <= high) covered++;
      const none = Array.from({ length: 100 }, (_, n) => 2 * normal("none", trial, n));
      if (bootstrap(none, `none ${trial}`).p < 0.05) alarms++;
    }
    expect(covered / 500).toBeGreaterThanOrEqual(0.92);
    expect(covered / 500).toBeLessThanOrEqual(0.98);
    expect(alarms / 500).toBeLessThanOrEqual(0.07);
  });

  it("pairs each shopper with themselves, and says no difference where there is none", () => {
    const before = Array.from({ length: 500 }, (_, n) => fake(20 + 10 * normal("t", n), n));
    const same = compareWalks(before, before);
    expect(same.every(({ differs, mean, low, high }) => !differs && mean === 0 && low === 0 && high === 0)).toBe(true);
    // Half a second sooner each: far less than shoppers differ among one another.
    const after = before.map((one) => ({ ...one, seconds: one.seconds - 0.5 + 0.1 * normal("noise", one.n) }));
    const seconds = compareWalks(before, after).find(({ measure }) => measure === "seconds");
    expect(seconds?.differs).toBe(true);
    expect(seconds?.mean).toBeCloseTo(-0.5, 1);
  });

  it("compares seconds only of those who arrive both times", () => {
    const [seconds] = compareWalks([fake(10, 0), fake(99, 1, false)], [fake(12, 0), fake(5, 1)]).filter(
      ({ measure }) => measure === "seconds",
    );
    expect([seconds?.pairs, seconds?.mean]).toEqual([1, 2]);
  });

  it("corrects for several by Holm's way", () => {
    // Worked by hand: 0.01 × 4, 0.02 × 3, 0.03 × 2 and no less than those before.
    expect(holm([0.02, 0.01, 0.5, 0.03])).toEqual([0.06, 0.04, 0.5, 0.06]);
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 1, maxLength: 8 }), (given) => {
        const corrected = holm(given);
        expect(corrected.every((p, at) => p >= (given[at] ?? 0) && p <= 1)).toBe(true);
      }),
    );
  });
});

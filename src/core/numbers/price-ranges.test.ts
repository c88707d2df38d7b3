import { ticks } from "d3-array";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { rangesBetween, roundLimits } from "./price-ranges.ts";
import { endsOf, scaleOf } from "./scale.ts";

const rising = fc
  .array(fc.integer({ min: 1, max: 100_000 }), { minLength: 2, maxLength: 200 })
  .map((list) => list.toSorted((a, b) => a - b));

describe("price ranges with round limits", () => {
  // Source: d3-array (npm), a general-purpose library, whose ticks are the round numbers within a span.
  it("of equal width stand at d3's ticks", () => {
    fc.assert(
      fc.property(rising, fc.integer({ min: 2, max: 8 }), (sorted, parts) => {
        const [least, most] = [sorted[0], sorted[sorted.length - 1]];
        const inside = ticks(least, most, parts).filter((tick) => tick > least && tick < most);
        expect(roundLimits(sorted, parts, "width").map((limit) => Math.round(limit * 1e6))).toEqual(
          inside.map((tick) => Math.round(tick * 1e6)),
        );
      }),
    );
  });

  it("of equal share hold about as many values each, also where a few lie far above the rest", () => {
    const skewed = [...Array.from({ length: 99 }, (_, i) => 2 + i * 0.5), 4000];
    const limits = roundLimits(skewed, 5, "products");
    expect(limits).toEqual([10, 20, 30, 40]);
    expect(roundLimits(skewed, 5, "width")).toEqual([1000, 2000, 3000]);
  });

  it("come to an end for any numbers at all, however near, far or large", () => {
    const near = 10 ** 16;
    expect(roundLimits([near, near + 2], 5, "width").length).toBeLessThanOrEqual(5);
    const any = fc
      .array(fc.double({ noNaN: true }), { minLength: 1, maxLength: 30 })
      .map((list) => list.toSorted((a, b) => a - b));
    fc.assert(
      fc.property(
        any,
        fc.integer({ min: 0, max: 50 }),
        fc.constantFrom("width" as const, "products" as const),
        (sorted, parts, by) => {
          expect(roundLimits(sorted, parts, by).length).toBeLessThanOrEqual(2 * parts + 2);
        },
      ),
    );
    const wishes = fc.record({
      least: fc.double({ noNaN: true }),
      most: fc.double({ noNaN: true }),
      step: fc.double({ min: 0, noNaN: true }),
    });
    fc.assert(
      fc.property(wishes, fc.boolean(), fc.boolean(), ({ least, most, step }, bent, days) => {
        const ends = endsOf({ least: Math.min(least, most), most: Math.max(least, most), bent, step, days });
        expect(scaleOf(ends, bent).stops?.length ?? 0).toBeLessThanOrEqual(700);
      }),
    );
  });

  it("rise, lie inside the values, and leave nothing out", () => {
    fc.assert(
      fc.property(
        rising,
        fc.integer({ min: 2, max: 8 }),
        fc.constantFrom("width" as const, "products" as const),
        (sorted, parts, by) => {
          const limits = roundLimits(sorted, parts, by);
          expect(limits).toEqual([...new Set(limits)].sort((a, b) => a - b));
          for (const limit of limits) expect(limit > sorted[0] && limit < sorted[sorted.length - 1]).toBe(true);
          const ranges = rangesBetween(limits);
          const held = (value: number) =>
            ranges.some(({ min = -Infinity, max = Infinity }) => value >= min && value <= max);
          if (ranges.length > 0) expect(sorted.every(held)).toBe(true);
        },
      ),
    );
    expect(roundLimits([3, 3, 3], 4, "products")).toEqual([]);
    expect(roundLimits([5e-324, 1e-323], 2, "width")).toEqual([]);
    expect(rangesBetween([])).toEqual([]);
  });
});

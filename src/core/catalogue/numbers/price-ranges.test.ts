import { bisectRight, ticks } from "d3-array";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { binEdges, binOf } from "./bins.ts";
import { rangesBetween, roundLimits } from "./price-ranges.ts";
import { holds } from "./range.ts";
import { scaleEnds, scaleOf } from "./scale.ts";
import { starRanges } from "./stars.ts";

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

  it("give a number that many values are a range to itself, and split the rest evenly", () => {
    // 75 zeros and 25 other values; five ranges are wanted.
    const sorted = [...Array(75).fill(0), ...Array.from({ length: 25 }, (_, i) => 10 + i * 2)];
    const limits = roundLimits(sorted, 5, "products");
    const held = rangesBetween(limits).map((range) => sorted.filter((value) => holds(range, value)).length);
    expect(held).toHaveLength(5);
    expect(held[0]).toBe(75);
    for (const one of held.slice(1)) expect(Math.abs(one - 25 / 4)).toBeLessThanOrEqual(4);
    // A heap in the middle, and one at the end, where nothing can begin behind it.
    const middle = [
      ...Array.from({ length: 20 }, (_, i) => i + 1),
      ...Array(60).fill(30),
      ...Array.from({ length: 20 }, (_, i) => 41 + i),
    ];
    expect(roundLimits(middle, 5, "products").length).toBeGreaterThanOrEqual(2);
    expect(
      roundLimits([...Array(5).fill(1), ...Array(95).fill(9)], 5, "products").every((limit) => limit > 1 && limit < 9),
    ).toBe(true);
  });

  it("an end just below 0 stays near it, with stops at whole steps from 0", () => {
    const area = scaleEnds({ least: -1, most: 17_098_246, bent: false, step: 0, days: false });
    expect(area).toMatchObject({ min: -1, max: 17_200_000, step: 200_000 });
    expect(scaleOf(area, false).stops?.slice(0, 4)).toEqual([-1, 0, 200_000, 400_000]);
    expect(scaleOf(area, false).stops?.at(-1)).toBe(17_200_000);
    // An end that is well below 0 is rounded as any other.
    expect(scaleEnds({ least: -130, most: 870, bent: false, step: 0, days: false }).min).toBe(-130);
    expect(scaleEnds({ least: -11, most: 32, bent: false, step: 0, days: false })).toMatchObject({ min: -11, max: 32 });
  });

  it("on a bent scale below 0 too, equal lengths are about equal ratios, with a stop at 0", () => {
    const ends = scaleEnds({ least: -1000, most: 100_000, bent: true, step: 1, days: false });
    const { stops = [], share } = scaleOf(ends, true);
    expect([stops[0], stops.at(-1)]).toEqual([ends.min, ends.max]);
    expect(stops).toEqual([...stops].sort((a, b) => a - b));
    expect(stops).toContain(0);
    // A tenth of the way to the far end and its mirror are as far from 0 as each other.
    expect(share(0) - share(-100)).toBeCloseTo(share(100) - share(0), 10);
    for (const [at, stop] of stops.entries())
      if (stop > 20 && at + 2 < stops.length) expect((stops[at + 1] ?? 0) / stop).toBeLessThanOrEqual(1.1 + 1e-9);
    const negative = scaleOf(scaleEnds({ least: -5000, most: -5, bent: true, step: 1, days: false }), true);
    expect(negative.stops?.every((stop) => stop < 1)).toBe(true);
    expect(negative.share(-5000)).toBeLessThan(negative.share(-5));
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
        const ends = scaleEnds({ least: Math.min(least, most), most: Math.max(least, most), bent, step, days });
        expect(scaleOf(ends, bent).stops?.length ?? 0).toBeLessThanOrEqual(700);
      }),
    );
    // Found by this property: stops above and below 0 count together.
    const both = { least: -4.791111111153668e-171, most: 9.000000000004999e-157, step: 8.888888888967843e-174 };
    expect(scaleOf(scaleEnds({ ...both, bent: true, days: false }), true).stops).toBeUndefined();
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
          // Each value, limits too, stands in one range and no other.
          const held = (value: number) => ranges.filter((range) => holds(range, value)).length;
          if (ranges.length > 0) expect([...sorted, ...limits].every((value) => held(value) === 1)).toBe(true);
        },
      ),
    );
    expect(roundLimits([3, 3, 3], 4, "products")).toEqual([]);
    expect(roundLimits([5e-324, 1e-323], 2, "width")).toEqual([]);
    expect(rangesBetween([])).toEqual([]);
  });
});

describe("bins", () => {
  it("are of equal length on a bent scale, but for the last, and rise over all values", () => {
    const span = fc.tuple(fc.integer({ min: 1, max: 500 }), fc.integer({ min: 3, max: 4000 }));
    fc.assert(
      fc.property(span, ([least, factor]) => {
        const [min, max] = [least, least * factor];
        const edges = binEdges(min, max, 20, true);
        const scale = scaleOf(scaleEnds({ least: min, most: max, bent: true, step: 0, days: false }), true);
        const lengths = edges.slice(1).map((edge, at) => scale.share(edge) - scale.share(edges[at]));
        for (const length of lengths.slice(0, -1)) expect(length).toBeCloseTo(lengths[0], 9);
        expect(lengths.at(-1)).toBeLessThanOrEqual(lengths[0] + 1e-9);
        expect(edges[0]).toBeLessThanOrEqual(min);
        expect(edges.at(-1)).toBeGreaterThanOrEqual(max);
      }),
    );
    // An even width would put nearly all of these into the first of its bins.
    expect(binEdges(1, 10_000, 20, true).filter((edge) => edge < 500).length).toBeGreaterThan(10);
  });

  it("hold what lies between their edges, the lower one with", () => {
    // Held against d3-array's bisector.
    const values = fc.array(fc.double({ noNaN: true, min: -1e6, max: 1e6 }), { minLength: 2, maxLength: 40 });
    fc.assert(
      fc.property(values, fc.double({ noNaN: true }), (list, value) => {
        const edges = [...new Set(list)].sort((a, b) => a - b);
        fc.pre(edges.length > 1);
        const expected = Math.max(0, Math.min(edges.length - 2, bisectRight(edges, value) - 1));
        expect(binOf(edges, value)).toBe(expected);
      }),
    );
  });

  it("have round edges of equal width on an even one", () => {
    expect(binEdges(46, 230, 20)).toEqual(Array.from({ length: 20 }, (_, at) => 40 + at * 10));
  });
});

describe("stars and up", () => {
  it("are of five, or of ten points with two to a star", () => {
    expect(starRanges([3.5, 5])).toEqual([{ min: 4 }, { min: 3 }, { min: 2 }, { min: 1 }]);
    expect(starRanges([7.9, 9.4])).toEqual([{ min: 8 }, { min: 6 }, { min: 4 }, { min: 2 }]);
  });
});

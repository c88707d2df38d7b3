import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Box, layoutShift, unionArea } from "./layout-shift.ts";

const box = (x: number, y: number, width: number, height: number): Box => ({ x, y, width, height });

describe("layout shift", () => {
  // Source: web.dev, “Cumulative Layout Shift”: an element of half the viewport that moves by a quarter of its height
  // has an impact fraction of 0.75, a distance fraction of 0.25 and a score of 0.1875.
  it("is the published example's", () => {
    const viewport = { width: 100, height: 100 };
    const move = { before: box(0, 0, 100, 50), after: box(0, 25, 100, 50), dx: 0, dy: 25 };
    expect(layoutShift([move], viewport)).toBeCloseTo(0.1875, 12);
  });

  it("leaves out what moves by less than 3 px, and is 0 when nothing moves", () => {
    const viewport = { width: 1280, height: 800 };
    const move = (dy: number) => ({ before: box(0, 0, 100, 100), after: box(0, dy, 100, 100), dx: 0, dy });
    expect(layoutShift([move(2.9)], viewport)).toBe(0);
    expect(layoutShift([move(3)], viewport)).toBeGreaterThan(0);
    expect(layoutShift([], viewport)).toBe(0);
  });

  it("covers each place once, as counting every point does", () => {
    const small = fc.record({
      x: fc.integer({ min: 0, max: 12 }),
      y: fc.integer({ min: 0, max: 12 }),
      width: fc.integer({ min: 0, max: 8 }),
      height: fc.integer({ min: 0, max: 8 }),
    });
    fc.assert(
      fc.property(fc.array(small, { maxLength: 8 }), (boxes) => {
        let points = 0;
        for (let x = 0; x < 20; x++)
          for (let y = 0; y < 20; y++)
            if (boxes.some((one) => x >= one.x && x < one.x + one.width && y >= one.y && y < one.y + one.height))
              points++;
        expect(unionArea(boxes)).toBe(points);
      }),
    );
  });
});

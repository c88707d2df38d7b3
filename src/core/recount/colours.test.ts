import Color from "colorjs.io";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { contrast, deltaE } from "../swatch/measure.ts";
import { contrastAgain, deltaEAgain } from "./colours.ts";

const hex = fc.integer({ min: 0, max: 0xffffff }).map((code) => `#${code.toString(16).padStart(6, "0")}`);

describe("colours that are measured again", () => {
  it("differ by what the tool says, and by what a reference library says", () => {
    fc.assert(
      fc.property(hex, hex, (a, b) => {
        expect(Math.abs(deltaEAgain(a, b) - deltaE(a, b))).toBeLessThan(0.05);
        // Source: colorjs.io, contrast ratio of WCAG 2.1.
        expect(Math.abs(contrastAgain(a, b) - new Color(a).contrast(new Color(b), "WCAG21"))).toBeLessThan(0.01);
        expect(Math.abs(contrastAgain(a, b) - contrast(a, b))).toBeLessThan(0.005);
      }),
      { numRuns: 2000 },
    );
  });

  it("are what the standard says at its ends", () => {
    // Source: WCAG 2.2, black on white is 21:1.
    expect(contrastAgain("#000000", "#ffffff")).toBeCloseTo(21, 10);
    expect(deltaEAgain("#7d4aa8", "#7d4aa8")).toBe(0);
    expect(deltaEAgain("#000000", "#ffffff")).toBeCloseTo(100, 3);
  });
});

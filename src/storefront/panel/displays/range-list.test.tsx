// @vitest-environment happy-dom
import { act } from "preact/test-utils";
import { describe, expect, it } from "vitest";
import { displayStage } from "../../../../tests/display-stage.tsx";
import type { DisplayProps } from "./display-props.ts";

const { find, findAll, inputs, show } = displayStage();

describe("price ranges and stars", () => {
  const ranged = (range: { min?: number; max?: number }, more: Partial<DisplayProps["ranges"][number]> = {}) => ({
    range,
    label: `from ${range.min}`,
    count: 4,
    chosen: false,
    faded: false,
    ...more,
  });

  it("choose a range, and a second click takes it back", () => {
    const ranges = [
      ranged({ max: 10 }),
      ranged({ min: 10, max: 20 }, { chosen: true }),
      ranged({ min: 20 }, { faded: true, count: 0 }),
    ];
    const { choose } = show("price-ranges", { ranges }, "range");
    expect(find("[role=radiogroup]")?.getAttribute("aria-label")).toBe("Colour");
    expect(inputs().map(({ checked, disabled }) => [checked, disabled])).toEqual([
      [false, false],
      [true, false],
      [false, true],
    ]);
    act(() => inputs()[0].click());
    expect(choose).toHaveBeenLastCalledWith({ max: 10 });
    act(() => inputs()[1].click());
    expect(choose).toHaveBeenLastCalledWith(undefined);
  });

  it("say how many stars, in words too", () => {
    show("stars", { ranges: [4, 3, 2, 1].map((min) => ranged({ min })) }, "range");
    expect(findAll("label").map((label) => label.textContent)).toEqual([
      expect.stringMatching(/4 stars and up4 products/),
      expect.stringMatching(/3 stars and up/),
      expect.stringMatching(/2 stars and up/),
      expect.stringMatching(/1 star and up/),
    ]);
  });
});

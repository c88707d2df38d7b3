// @vitest-environment happy-dom
import { act } from "preact/test-utils";
import { describe, expect, it } from "vitest";
import { displayStage } from "../../../../../tests/display-stage.tsx";

const { inputs, show } = displayStage();

describe("a date range", () => {
  // Common practice, no source: a date range includes both its days.
  it("is two days, each in its own field", () => {
    const none = { min: 20_000, max: 20_100, histogram: null };
    const { choose } = show(
      "dates",
      { range: { live: none, steady: none }, field: { key: "d", name: "D", role: "attribute", kind: "date" } },
      "range",
    );
    const [from] = inputs();
    expect([from.type, from.placeholder]).toEqual(["date", "2024-10-04"]);
    act(() => {
      from.value = "2024-10-10";
      from.dispatchEvent(new Event("change", { bubbles: true }));
    });
    expect(choose).toHaveBeenLastCalledWith({ min: 20_006, max: undefined });
  });
});

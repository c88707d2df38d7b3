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

  // A browser tells of each date on the way to the one that is typed.
  it("takes a day that is typed when it is whole or its field is left, and never one on the way to it", () => {
    const day = (text: string) => Date.parse(text) / 86_400_000;
    const steady = { min: day("2026-01-01"), max: day("2028-01-01"), histogram: null };
    const { choose } = show(
      "dates",
      {
        range: { live: steady, steady },
        choice: { min: day("2026-12-01") },
        field: { key: "d", name: "D", role: "attribute", kind: "date" },
      },
      "range",
    );
    const to = inputs()[1] as HTMLInputElement;
    const send = (event: Event) => act(() => void to.dispatchEvent(event));
    const type = (text: string) => {
      send(new KeyboardEvent("keydown", { key: "2", bubbles: true }));
      to.value = text;
      for (const name of ["input", "change"]) send(new Event(name, { bubbles: true }));
    };
    for (const year of ["0002", "0020", "0202", "2027"]) type(`${year}-03-01`);
    expect(choose).not.toHaveBeenCalled();
    expect(to.value).toBe("2027-03-01");
    send(new KeyboardEvent("keydown", { key: "Enter", bubbles: true }));
    expect(choose.mock.calls).toEqual([[{ min: day("2026-12-01"), max: day("2027-03-01") }]]);
    type("2027-04-01");
    send(new KeyboardEvent("keydown", { key: "Tab", bubbles: true }));
    expect(choose).toHaveBeenLastCalledWith({ min: day("2026-12-01"), max: day("2027-04-01") });
    type("");
    send(new KeyboardEvent("keydown", { key: "Tab", bubbles: true }));
    expect(choose).toHaveBeenCalledTimes(2);
    send(new FocusEvent("blur"));
    expect(choose).toHaveBeenLastCalledWith({ min: day("2026-12-01"), max: undefined });
  });
});

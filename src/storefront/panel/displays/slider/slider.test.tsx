// @vitest-environment happy-dom
import { act } from "preact/test-utils";
import { describe, expect, it, vi } from "vitest";
import { displayStage } from "../../../../../tests/display-stage.tsx";
import type { Choice } from "../../../../core/engine/question.ts";
import type { DisplayProps } from "../display-props.ts";

const { empty, find, findAll, show, text } = displayStage();

describe("slider", () => {
  const answer = { min: 2, max: 338, histogram: { edges: [0, 100, 200, 300, 400], counts: [5, 2, 0, 1] } };
  const range = { live: answer, steady: answer };
  const slide = (choice?: Choice, more: Partial<DisplayProps> = {}) =>
    show("slider-inputs", { range, choice, ...more }, "range");
  const handles = () => findAll<HTMLInputElement>("input[type=range]");
  const fire = (element: HTMLInputElement, value: string, event: string) =>
    act(() => {
      element.value = value;
      element.dispatchEvent(new Event(event, { bubbles: true }));
    });

  it("has two named handles on round ends, with values in words", () => {
    slide({ min: 50 });
    expect(
      handles().map((handle) => [
        handle.getAttribute("aria-label"),
        handle.min,
        handle.max,
        handle.step,
        handle.value,
        handle.getAttribute("aria-valuetext"),
      ]),
    ).toEqual([
      ["Colour, minimum", "0", "340", "5", "50", "€50"],
      ["Colour, maximum", "0", "340", "5", "340", "€340"],
    ]);
    expect(findAll(".zt-bars path")).toHaveLength(4);
    expect(text()).toContain("€50 to €340");
  });

  it("never lets the handles cross, and leaves an end open where a handle stands on it", () => {
    const { choose } = slide({ min: 50, max: 100 });
    fire(handles()[0], "200", "input");
    expect(choose).toHaveBeenLastCalledWith({ min: 100, max: 100 });
    fire(handles()[1], "340", "input");
    expect(choose).toHaveBeenLastCalledWith({ min: 50, max: undefined });
  });

  it("takes typed numbers as captions write them, swaps ends, and tells of what is none", () => {
    const { choose } = slide({ max: 100 });
    const [from] = findAll<HTMLInputElement>(".zt-end");
    expect([from.getAttribute("aria-label"), from.name]).toEqual(["Colour from", "colour.min"]);
    fire(from, "12,5", "change");
    expect(choose).toHaveBeenLastCalledWith({ min: 12.5, max: 100 });
    fire(from, "€ 1,250", "change");
    // The wrong way round: what was meant is plain.
    expect(choose).toHaveBeenLastCalledWith({ min: 100, max: 1250 });
    const calls = choose.mock.calls.length;
    fire(from, "50 m", "change");
    expect(choose).toHaveBeenCalledTimes(calls);
    expect([from.value, from.ariaInvalid, from.validationMessage]).toEqual(["50 m", "true", "Enter a number."]);
    fire(from, "", "change");
    expect(choose).toHaveBeenLastCalledWith({ min: undefined, max: 100 });
    expect(from.ariaInvalid).toBe("false");
  });

  it("bends its scale so that equal lengths are equal ratios, and stops at numbers that can be read", () => {
    const skewed = { min: 1, max: 10_000, histogram: null };
    const { choose } = show("slider", { range: { live: skewed, steady: skewed } }, "range", {
      scale: "bent",
      ends: "typed",
      min: 1,
      max: 10_000,
    });
    const [least] = handles();
    const stops = Number(least.max);
    expect(least.min).toBe("0");
    const at = (place: number) => {
      fire(least, String(place), "input");
      return (choose.mock.lastCall?.[0] as { min?: number } | undefined)?.min ?? 1;
    };
    const values = Array.from({ length: stops }, (_, place) => at(place));
    // Four powers of ten have equal parts of the track, and each stop is a twentieth to a tenth above the one before.
    expect([values[stops / 4], values[stops / 2], values[(stops / 4) * 3]]).toEqual([10, 100, 1000]);
    for (const [i, value] of values.slice(1).entries()) {
      expect(value / values[i]).toBeGreaterThan(1.04);
      expect(value / values[i]).toBeLessThanOrEqual(1.1 + 1e-9);
    }
  });

  it("tells how many products a range would find while it is typed, and forgets it when the field is left", async () => {
    const peek = vi.fn(() => Promise.resolve(7));
    const { choose } = slide({ max: 100 }, { peek });
    const [from] = findAll<HTMLInputElement>(".zt-end");
    for (const text of ["1", "12"]) {
      await act(async () => fire(from, text, "input"));
    }
    await vi.waitFor(() =>
      expect(find("[aria-live]")?.textContent?.replace(/[\u2066-\u2069]/g, "")).toBe("7 products"),
    );
    expect(from.value).toBe("12");
    // Asked once, for what stands there when the fingers rest; nothing is chosen yet.
    expect(peek.mock.calls).toEqual([[{ min: 12, max: 100 }]]);
    expect(choose).not.toHaveBeenCalled();
    // Whoever takes it back leaves without a change.
    await act(async () => void from.dispatchEvent(new FocusEvent("blur")));
    expect(find("[aria-live]")?.textContent).toBe("");
    await act(async () => fire(from, "12", "change"));
    expect(find("[aria-live]")?.textContent).toBe("");
    expect(choose).toHaveBeenCalledWith({ min: 12, max: 100 });
  });

  it("keeps what stands in a field until it is taken, or something else is chosen", () => {
    const field = () => findAll<HTMLInputElement>(".zt-end")[0] as HTMLInputElement;
    slide({ max: 100 });
    fire(field(), "12", "input");
    // Counts come in while it is typed.
    slide({ max: 100 });
    expect(field().value).toBe("12");
    fire(field(), "50 m", "change");
    slide({ max: 100 });
    expect(field().value).toBe("50 m");
    slide({ min: 5, max: 100 });
    expect([field().value, field().ariaInvalid, field().validationMessage]).toEqual(["5", "false", ""]);
    fire(field(), "12.0", "change");
    slide({ min: 12, max: 100 });
    expect(field().value).toBe("12");
  });

  it("says that there is more beyond a typed end, which the open end still finds", () => {
    show("slider", { range }, "range", { ends: "typed", min: 10, max: 100 });
    expect(handles().map((handle) => [handle.min, handle.max])).toEqual([
      ["10", "100"],
      ["10", "100"],
    ]);
    expect(text()).toContain("€10 or less to €100 or more");
  });

  it("shows the value above a handle that is held, and drops what the designer does not want", () => {
    show("slider", { range }, "range");
    act(() => handles()[1].dispatchEvent(new Event("pointerdown", { bubbles: true })) as unknown as undefined);
    expect(find(".zt-bubble")?.textContent).toBe("€340");
    empty();
    show("slider", { range }, "range", { bubbles: false, values: false, histogram: { wide: false } });
    act(() => handles()[1].dispatchEvent(new Event("pointerdown", { bubbles: true })) as unknown as undefined);
    expect(find(".zt-bubble, .zt-bars, .zt-hint")).toBeNull();
  });

  it("says when no product states the field", () => {
    const none = { min: null, max: null, histogram: null };
    show("slider", { range: { live: none, steady: none } }, "range");
    expect(text()).toBe("No product has this information.");
  });
});

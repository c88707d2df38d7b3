// @vitest-environment happy-dom
import { act } from "preact/test-utils";
import { describe, expect, it } from "vitest";
import { displayStage, option } from "../../../../../tests/display-stage.tsx";

const { find, inputs, show } = displayStage();

describe("a search field", () => {
  it("shows what is chosen and what fits, and says how many more there are", () => {
    const many = Array.from({ length: 30 }, (_, i) => option(`brand ${i}`, { chosen: i === 29 }));
    show("search-field", { options: many });
    expect(
      inputs()
        .filter(({ type }) => type === "checkbox")
        .map(({ value }) => value),
    ).toEqual(["brand 29"]);
    const field = find<HTMLInputElement>("input[type=search]");
    act(() => {
      if (field) field.value = "bra";
      field?.dispatchEvent(new Event("input", { bubbles: true }));
    });
    expect(inputs().filter(({ type }) => type === "checkbox")).toHaveLength(9);
    expect(find("[role=status]")?.textContent).toBe("and 21 more");
  });
});

import { describe, expect, it } from "vitest";
import { cellValue } from "./cell-value.ts";

const number = { name: "Height", kind: "number", role: "attribute", unit: "cm" } as const;
const day = { name: "Sown", kind: "date", role: "attribute" } as const;
const either = { name: "Evergreen", kind: "yes-no", role: "attribute" } as const;

describe("what is typed into a cell", () => {
  it.each([
    ["12,50", "12.50"],
    ["1,234.50", "1234.50"],
    ["1.234,50", "1234.50"],
    ["€ 12", "12"],
    ["1.2 m", "120"],
    ["7", "7"],
  ])("is read as a number: %s", (text, value) => expect(cellValue(text, number)).toEqual({ values: [value] }));

  it.each([
    ["31.3.2026", "2026-03-31"],
    ["31 March 2026", "2026-03-31"],
    ["2026-03-31", "2026-03-31"],
  ])("is read as a day: %s", (text, value) => expect(cellValue(text, day)).toEqual({ values: [value] }));

  it("is refused with the reason where its field can't hold it", () => {
    expect(cellValue("cheap", number)).toEqual({
      fault: "“cheap” is not a number. Height contains numbers in cm, such as 12.50.",
    });
    expect(cellValue("3|tall", number)).toMatchObject({ fault: expect.stringContaining("“tall”") });
    expect(cellValue("2026-02-31", day)).toMatchObject({ fault: expect.stringContaining("not a date") });
    expect(cellValue("perhaps", either)).toMatchObject({ fault: expect.stringContaining("not yes or no") });
  });

  it("may be nothing, several values, or one whole text with bars in it", () => {
    expect(cellValue("", number)).toEqual({ values: [] });
    expect(cellValue("a | b", { ...number, kind: "text" })).toEqual({ values: ["a", "b"] });
    expect(cellValue("a | b", { ...number, kind: "text", role: "title" })).toEqual({ values: ["a | b"] });
  });
});

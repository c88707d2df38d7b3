import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { formatDay, inferKind, parseDay, parseNumber } from "./field-kinds.ts";
import { splitCell } from "./values.ts";

describe("values", () => {
  it("takes plain numbers only", () => {
    expect(["12", "-1.5", ".5", "3.", "1e3", " 7 "].map(parseNumber)).toEqual([12, -1.5, 0.5, 3, 1000, 7]);
    for (const text of ["", "1,5", "1 000", "12 cm", "0x10", "Infinity", "--1"]) expect(parseNumber(text)).toBeNaN();
  });

  // Source: ISO 8601 calendar dates; 1970-01-01 is day 0 and 2000-03-01 day 11017 by POSIX time.
  it("takes calendar days that there are", () => {
    expect(parseDay("1970-01-01")).toBe(0);
    expect(parseDay("2000-03-01")).toBe(11017);
    expect(parseDay("2026-03-31T23:59:00+02:00")).toBe(parseDay("2026-03-31"));
    for (const text of ["2026-02-29", "2026-13-01", "31.03.2026", "2026-3-1", ""]) expect(parseDay(text)).toBeNaN();
    fc.assert(fc.property(fc.integer({ min: -700_000, max: 2_900_000 }), (day) => parseDay(formatDay(day)) === day));
  });

  it("parts several values, and whole texts never", () => {
    expect(splitCell(" May | June||", false)).toEqual(["May", "June"]);
    expect(splitCell("Pot | blue", true)).toEqual(["Pot | blue"]);
    expect(splitCell("  ", true)).toEqual([]);
  });

  it("infers a kind that all values share", () => {
    expect(inferKind(["yes", "No"])).toBe("yes-no");
    expect(inferKind(["1", "2.5"])).toBe("number");
    expect(inferKind(["2026-01-01"])).toBe("date");
    expect(inferKind(["1", "two"])).toBe("text");
    expect(inferKind([])).toBe("text");
  });
});

import { describe, expect, it } from "vitest";
import { money } from "./format.ts";
import { readNumber, writeNumber } from "./read-number.ts";

describe("a number that a shopper types", () => {
  it.each([
    ["1,234.5", "en", 1234.5],
    ["1.234,5", "de", 1234.5],
    ["1 234,5", "fr", 1234.5],
    ["12,5", "en", 12.5],
    ["12.5", "de", 12.5],
    ["€ 40", "en", 40],
    ["40 EUR", "de", 40],
    ["340 cm", "en", 340],
    ["-3", "en", -3],
    ["١٢٣", "ar", 123],
    ["１２", "ja", 12],
  ])("%s in %s", (text, language, value) => expect(readNumber(text, language, ["cm"])).toBe(value));

  it("is what captions show, in every language", () => {
    for (const language of ["en", "de", "fr", "es", "nl", "ar", "ja"])
      for (const amount of [3, 12.5, 1234, 98_765.25])
        expect([language, readNumber(money(amount, "EUR", language), language)]).toEqual([language, amount]);
  });

  it("is read again as it is written for editing, in every language", () => {
    expect([4.36, 1.234, 1234.5].map((value) => writeNumber(value, "de"))).toEqual(["4,36", "1,234", "1234,5"]);
    for (const language of ["en", "de", "fr", "es", "nl", "ar", "ja"])
      for (const value of [0, -3, 4.36, 1.234, 1234, 1234.5, 98_765.25])
        expect([language, readNumber(writeNumber(value, language), language)]).toEqual([language, value]);
  });

  it.each(["50 m", "cheap", "", "1.2.3", "12 34 x", "--1"])("is none: %s", (text) =>
    expect(readNumber(text, "en", ["cm"])).toBeNaN(),
  );
});

import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { calendarOf, naturalOrder, seriesName } from "./value-order.ts";

/** Names in natural order, from whatever order they come in. */
const sorted = (names: readonly string[], locale?: string) =>
  [...names].reverse().sort(naturalOrder([...names].reverse(), locale));

describe("the natural order of names", () => {
  // Common practice, no source.
  it.each([
    ["numbers by size", ["9 cm", "10 cm", "100 cm"]],
    ["sizes of clothing", ["XS", "S", "M", "L", "XL", "2XL", "3XL"]],
    ["sizes in words, the rest behind", ["Small", "Medium", "Large", "One size"]],
    ["case aside", ["apple", "Banana", "cherry"]],
  ])("puts %s", (_, names) => {
    expect(sorted(names)).toEqual(names);
  });

  // Source: the months' and days' names of CLDR, written down by hand.
  it.each([
    ["en", "months", ["March", "April", "May", "October"]],
    ["en", "months", ["Jan", "Feb", "Nov", "Dec"]],
    ["de", "months", ["Januar", "März", "Oktober", "Dezember"]],
    ["fr", "months", ["Janvier", "Février", "Juin", "Décembre"]],
    ["fr", "months", ["janv.", "févr.", "juin", "déc."]],
    ["de", "days", ["Montag", "Dienstag", "Samstag", "Sonntag"]],
    ["es", "days", ["lunes", "martes", "viernes", "domingo"]],
    // A catalogue in English keeps its order on a page in another language.
    ["de", "months", ["March", "May", "October"]],
  ] as const)("knows, in %s, %s such as %j", (locale, name, names) => {
    expect(seriesName(names, locale)).toBe(name);
    expect(sorted(names, locale)).toEqual(names);
  });

  // Source: CLDR, through Intl.
  it("has the English months and days as CLDR has them", () => {
    for (const { name, words } of calendarOf("en")) {
      expect(sorted(words)).toEqual(words);
      expect(seriesName(words)).toBe(name);
    }
  });

  it("is by name where less than half are of a series, or there is but one", () => {
    expect(seriesName(["May", "Rose", "Lily"])).toBeUndefined();
    expect(seriesName(["M"])).toBeUndefined();
    expect(sorted(["Lily", "May", "Rose"])).toEqual(["Lily", "May", "Rose"]);
  });

  it("is an order: it never says both ways round", () => {
    const name = fc.constantFrom("S", "m", "XL", "10 cm", "9 cm", "März", "Mai", "rose", "Rose", "");
    fc.assert(
      fc.property(fc.array(name, { minLength: 2, maxLength: 12 }), fc.constantFrom("en", "de"), (names, locale) => {
        const compare = naturalOrder(names, locale);
        for (const a of names)
          for (const b of names) expect(Math.sign(compare(a, b)) + Math.sign(compare(b, a))).toBe(0);
      }),
      { numRuns: 50 },
    );
  });
});

import fc from "fast-check";
import { distance } from "fastest-levenshtein";
import { describe, expect, it } from "vitest";
import { colourNames } from "./colour-names.ts";
import { nearName } from "./near-names.ts";

const sure = [...colourNames()].filter(([, { confidence }]) => confidence >= 0.9);
/** The same by looking at every name. Reference: the package fastest-levenshtein. */
const slow = (key: string) => sure.find(([name]) => distance(name, key) === 1)?.[1];

/** A sure name in which one letter is left out, put in or another. */
const misspelt = fc
  .record({
    name: fc.constantFrom(...sure.map(([name]) => name)),
    at: fc.nat(20),
    letter: fc.constantFrom(..."abcdefghijklmnopqrstuvwxyzé1"),
    way: fc.constantFrom("out", "in", "other"),
  })
  .map(({ name, at, letter, way }) => {
    const i = at % (name.length + 1);
    return name.slice(0, i) + (way === "out" ? "" : letter) + name.slice(way === "in" ? i : i + 1);
  });

describe("names that are spelt otherwise", () => {
  it("are found as by looking at every name", () => {
    fc.assert(
      fc.property(fc.oneof(misspelt, fc.string({ maxLength: 12 }), fc.lorem({ maxCount: 1 })), (key) => {
        expect(nearName(key)).toEqual(slow(key));
      }),
      { numRuns: 300 },
    );
  });

  it("are one letter away and no name themselves", () => {
    expect(nearName("turquise")?.name.toLowerCase()).toBe("turquoise");
    expect(nearName("x".repeat(500))).toBeUndefined();
    for (const [name] of sure.slice(0, 50)) expect(nearName(name)).toEqual(slow(name));
  });
});

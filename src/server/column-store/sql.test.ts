import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { float, uint, uints, word } from "./sql.ts";
import { tablesOf } from "./stored-catalogue.ts";

describe("literals of a statement", () => {
  it("are whole numbers of 32 bits, and nothing else", () => {
    expect([uint(0), uint(4_294_967_295)]).toEqual(["0", "4294967295"]);
    for (const value of [-1, 0.5, Number.NaN, 4_294_967_296, Number.POSITIVE_INFINITY])
      expect(() => uint(value)).toThrow("is not an index");
    expect(() => uint("1) OR (1" as unknown as number)).toThrow("is not an index");
    expect([uints([]), uints([3, 1])]).toEqual(["emptyArrayUInt32()", "CAST([3,1] AS Array(UInt32))"]);
  });

  it("are finite numbers to the last bit", () => {
    fc.assert(
      fc.property(fc.double({ noNaN: true, noDefaultInfinity: true }), (value) => {
        const [, hex = ""] = /^reinterpretAsFloat64\(unhex\('([0-9a-f]{16})'\)\)$/.exec(float(value)) ?? [];
        expect(Buffer.from(hex, "hex").readDoubleLE()).toBe(value);
      }),
    );
    for (const value of [Number.NaN, Number.NEGATIVE_INFINITY])
      expect(() => float(value)).toThrow("is not a finite number");
  });

  it("are single words as searches fold them, and never a part of a statement", () => {
    expect([word("rose"), word("日本")]).toEqual(["'rose'", "'日本'"]);
    for (const text of ["", "it's", "a b", "a\\", "Rose", "x' OR '1", "a\u0000"])
      expect(() => word(text)).toThrow("This is not a single word");
    fc.assert(
      fc.property(fc.string({ unit: "binary" }), (text) => {
        try {
          expect(word(text)).toMatch(/^'[\p{L}\p{N}]+'$/u);
        } catch (error) {
          expect((error as Error).message).toBe("This is not a single word.");
        }
      }),
    );
  });

  it("are tables named by a hash", () => {
    expect(tablesOf("ab".repeat(32)).rows).toBe(`trellis_${"ab".repeat(12)}_rows`);
    expect(() => tablesOf("x; DROP TABLE y")).toThrow("This is not a hash");
  });
});

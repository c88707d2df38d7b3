import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { identity, spelling } from "./identity.ts";

describe("identity of a value", () => {
  // Source: our own definition, see identity.ts; NFC from Unicode Standard Annex 15.
  it("folds composition, outer and inner white space, and case", () => {
    expect(identity("  Cafe\u0301   au\u00a0 lait ")).toBe("caf\u00e9 au lait");
    expect(spelling(" Half  shade ")).toBe("Half shade");
    expect(identity("I")).toBe("i");
  });

  it("is the same for any spelling of it", () => {
    fc.assert(
      fc.property(
        fc.string({ unit: "grapheme" }),
        (text) => identity(`  ${text} `) === identity(text) && identity(identity(text)) === identity(text),
      ),
    );
  });
});

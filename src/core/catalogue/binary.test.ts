import { readFileSync } from "node:fs";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { shops } from "../../../tests/random-shop.ts";
import { BinaryError, decodeCatalogue, encodeCatalogue, looksBinary } from "./binary.ts";
import { isDerived } from "./field.ts";
import { readCatalogue } from "./read.ts";

const nursery = readCatalogue(readFileSync("demo/nursery.csv")).catalogue;

describe("a catalogue in binary form", () => {
  it("is the same catalogue again", () => {
    expect(decodeCatalogue(encodeCatalogue(nursery))).toEqual(nursery);
    fc.assert(
      fc.property(shops, (catalogue) => {
        expect(decodeCatalogue(encodeCatalogue(catalogue))).toEqual(catalogue);
      }),
    );
  });

  it("holds only the fields that are kept, and those computed from them", () => {
    const some = decodeCatalogue(encodeCatalogue(nursery, ({ role }) => role === "title" || role === "stock"));
    expect(some.fields.map(({ role }) => role)).toEqual(["title", "stock", "availability"]);
    expect(some.fields.some(isDerived)).toBe(true);
  });

  it("is far smaller than its text", () => {
    expect(encodeCatalogue(nursery).length).toBeLessThan(readFileSync("demo/nursery.csv").length / 2);
  });

  it("is refused when it is of another version, damaged anywhere, or breaks off", () => {
    const bytes = encodeCatalogue(nursery);
    const other = bytes.slice();
    new DataView(other.buffer).setUint32(4, 99, true);
    expect(() => decodeCatalogue(other)).toThrow(/format 99/);
    expect(looksBinary(bytes)).toBe(true);
    expect(looksBinary(new TextEncoder().encode("product_id,title\n"))).toBe(false);
    fc.assert(
      fc.property(fc.nat(bytes.length - 1), fc.integer({ min: 1, max: 255 }), (at, change) => {
        const damaged = bytes.slice();
        damaged[at] ^= change;
        expect(() => decodeCatalogue(damaged)).toThrow(BinaryError);
      }),
    );
    fc.assert(
      fc.property(fc.nat(bytes.length - 1), (length) => {
        expect(() => decodeCatalogue(bytes.slice(0, length))).toThrow(BinaryError);
      }),
    );
  });
});

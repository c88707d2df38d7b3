import { readFileSync } from "node:fs";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { shops } from "../../../tests/random-shop.ts";
import { crc32 } from "../sanitize/crc32.ts";
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

  it("is refused in no time when it claims what is not there, with a right checksum", () => {
    const packed = (header: unknown, rest: readonly number[] = []) => {
      const json = new TextEncoder().encode(JSON.stringify(header));
      const bytes = new Uint8Array(((16 + json.length + 3) & ~3) + rest.length);
      bytes.set(encodeCatalogue(nursery).subarray(0, 8));
      const head = new DataView(bytes.buffer);
      head.setUint32(12, json.length, true);
      bytes.set(json, 16);
      bytes.set(rest, (16 + json.length + 3) & ~3);
      head.setInt32(8, crc32(bytes.subarray(12)), true);
      return bytes;
    };
    const column = { key: "a", spellings: ["x"], codes: 1, codeWidth: 1, countWidth: 0 };
    const base = {
      fields: [{ key: "a" }],
      productIds: ["p"],
      variants: 4_294_967_295,
      variantsWidth: 4,
      columns: [column],
    };
    for (const [header, rest] of [
      [base, [255, 255, 255, 255, 0]],
      [{ ...base, columns: [{ ...column, countWidth: 1 }] }, [255, 255, 255, 255, 0]],
      [{ ...base, columns: [{ ...column, codes: -1 }] }, [255, 255, 255, 255]],
      [{ ...base, columns: [{ ...column, codeWidth: 3 }] }, [1]],
      [{ ...base, productIds: [null] }, []],
      [{ ...base, columns: "none" }, []],
      [[], []],
      [null, []],
      ["text", []],
    ] as const)
      expect(() => decodeCatalogue(packed(header, rest)), JSON.stringify(header)).toThrow(BinaryError);
  });
});

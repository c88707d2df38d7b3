import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { shops } from "../../../tests/random-shop.ts";
import { firstValue, variantCount } from "./catalogue.ts";
import { readCatalogue } from "./read.ts";
import { orderVariants } from "./variant-order.ts";

const { catalogue } = readCatalogue(
  new TextEncoder().encode("product_id,title,size,price\na,A,10 cm,9\nb,B,9 cm,10\nc,C,,2\nd,D,9 cm,\n"),
);
const all = Uint32Array.from({ length: 4 }, (_, v) => v);
const ids = (key: string, down = false) =>
  Array.from(orderVariants(catalogue, key, all, down), (v) => catalogue.productIds[v]).join("");

describe("ordering variants", () => {
  it("goes by number, and by name with the numbers in it by size; who states nothing comes last", () => {
    expect(ids("price")).toBe("cabd");
    expect(ids("price", true)).toBe("bacd");
    expect(ids("size")).toBe("bdac");
    expect(ids("size", true)).toBe("abdc");
    expect(ids("none")).toBe("abcd");
  });

  it("loses and doubles none, and turning it round turns the stated ones round", () => {
    fc.assert(
      fc.property(shops, fc.constantFrom("colour", "mood", "price"), (shop, key) => {
        const variants = Uint32Array.from({ length: variantCount(shop) }, (_, v) => v);
        const [up, down] = [false, true].map((way) => [...orderVariants(shop, key, variants, way)]);
        expect([...up].sort((a, b) => a - b)).toEqual([...variants]);
        const stated = (list: number[]) =>
          list.map((v) => firstValue(shop, key, v)?.toLowerCase().trim()).filter((text) => text !== undefined);
        expect(stated(down)).toEqual(stated(up).reverse());
      }),
    );
  });
});

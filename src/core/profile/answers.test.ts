import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { factsOf } from "../../../tests/rehearsed.ts";
import { holds } from "../catalogue/numbers/range.ts";
import { answersTo, defaultTolerance, rangeAround } from "./answers.ts";

/** The products left after a shopper chooses one of a product's values, counted product by product from the cells. */
const csvOf = (products: readonly (readonly string[])[]) =>
  `product_id,title,it\n${products.flatMap((values, p) => values.map((value) => `p${p},Product ${p},${value}\n`)).join("")}`;
const toldOf = (products: readonly (readonly string[])[]) => {
  const { index } = factsOf(csvOf(products));
  const field = index.field("it");
  if (!field) throw new Error("The column is a field.");
  return { field, ...answersTo(index, field) };
};

describe("what an answer leaves", () => {
  it("worked by hand: words, numbers, numbers below 0", () => {
    // Red finds three, blue one: (3 + 3 + 3 + 1) ÷ 4.
    expect(toldOf([["red"], ["red"], ["red"], ["blue"]]).left).toBe(2.5);
    // To a quarter: 80 finds itself and 100, 100 both its neighbours, 1 and 1000 themselves.
    expect(toldOf([["1"], ["80"], ["100"], ["120"], ["1000"]]).left).toBe((1 + 2 + 3 + 2 + 1) / 5);
    expect(toldOf([["-100"], ["-90"], ["-1"], ["5"]]).left).toBe((2 + 2 + 1 + 1) / 4);
    // Years are not known to a quarter of themselves, but of the line: to a year and a half of twelve.
    expect(rangeAround(1976, defaultTolerance, 1970, 1982)).toEqual({ min: 1974.5, max: 1977.5 });
    // An end that would cut nothing off is left out.
    expect(rangeAround(100, defaultTolerance, 99, 100)).toEqual({ min: 99.875 });
    expect(rangeAround(100, defaultTolerance, 100, 100)).toBeUndefined();
  });

  it("is what brute force counts: products of one to three variants, words or numbers", () => {
    const check = (cell: fc.Arbitrary<string>, same: (own: string, other: string, all: number[]) => boolean) =>
      fc.assert(
        fc.property(
          fc.array(fc.array(cell, { minLength: 1, maxLength: 3 }), { minLength: 2, maxLength: 12 }),
          (rows) => {
            const products = rows.map((row) => row.map((text) => text));
            const all = products.flat().map(Number);
            const left = (own: string) => products.filter((other) => other.some((one) => same(own, one, all))).length;
            const mean = (list: number[]) => list.reduce((sum, one) => sum + one, 0) / list.length;
            const told = toldOf(products);
            expect(told.left).toBeCloseTo(mean(products.map((own) => mean(own.map(left)))), 9);
            const logs = mean(products.map((own) => mean(own.map((one) => Math.log2(left(one))))));
            expect(told.bits).toBeCloseTo(Math.log2(products.length) - logs, 9);
          },
        ),
        { numRuns: 60 },
      );
    check(fc.constantFrom("Red", "Blue", "Green", "Grey"), (own, other) => own === other);
    check(
      fc.integer({ min: -400, max: 4000 }).map((n) => String(n / 4)),
      (own, other, all) => {
        const range = rangeAround(Number(own), defaultTolerance, Math.min(...all), Math.max(...all));
        return !range || holds(range, Number(other));
      },
    );
  });
});

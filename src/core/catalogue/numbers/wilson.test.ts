import { expect, it } from "vitest";
import { wilsonInterval } from "./wilson.ts";

// Source: Newcombe (1998), Two-sided confidence intervals for the single proportion, Statistics in Medicine 17, table I,
// method 3; from memory.
it.each([
  [81, 263, 0.2553, 0.3662],
  [15, 148, 0.0624, 0.1605],
  [0, 20, 0, 0.1611],
  [1, 29, 0.0061, 0.1718],
])("the interval of %i of %i is the published one", (hits, of, low, high) => {
  const [from, to] = wilsonInterval(hits, of);
  expect(from).toBeCloseTo(low, 4);
  expect(to).toBeCloseTo(high, 4);
});

it("is everything without trials", () => {
  expect(wilsonInterval(0, 0)).toEqual([0, 1]);
});

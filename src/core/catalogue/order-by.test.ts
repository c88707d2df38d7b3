import { describe, expect, it } from "vitest";
import { orderBy } from "./order-by.ts";

describe("records by keys", () => {
  it("rise or fall, with those that have no key last either way, and equal ones as they stood", () => {
    const records = Uint32Array.of(4, 7, 9, 12, 15);
    const of = Float64Array.of(3, Number.NaN, 1, 3, 2);
    expect([...orderBy(records, [{ of, down: false }])]).toEqual([9, 15, 4, 12, 7]);
    expect([...orderBy(records, [{ of, down: true }])]).toEqual([4, 12, 15, 9, 7]);
    const second = Float64Array.of(2, 0, 0, 1, 0);
    expect([
      ...orderBy(records, [
        { of, down: true },
        { of: second, down: false },
      ]),
    ]).toEqual([12, 4, 15, 9, 7]);
  });
});

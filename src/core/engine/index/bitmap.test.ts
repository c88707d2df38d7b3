import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  bitmapOf,
  complement,
  count,
  countBoth,
  emptyBitmap,
  forEach,
  fullBitmap,
  has,
  insert,
  intersect,
  toIds,
  union,
} from "./bitmap.ts";
import { buildPostings, postingsOf } from "./postings.ts";

const size = fc.integer({ min: 1, max: 200 });
const subset = (n: number) => fc.uniqueArray(fc.integer({ min: 0, max: n - 1 }));
const two = size.chain((n) => fc.tuple(fc.constant(n), subset(n), subset(n)));
const rising = (ids: Iterable<number>) => [...ids].sort((a, b) => a - b);

describe("bitmaps", () => {
  it("behave as sets do", () => {
    fc.assert(
      fc.property(two, ([n, a, b]) => {
        const [x, y] = [bitmapOf(a, n), bitmapOf(b, n)];
        expect([...toIds(x)]).toEqual(rising(a));
        expect(count(x)).toBe(a.length);
        expect([...toIds(intersect(x.slice(), y))]).toEqual(rising(a.filter((id) => b.includes(id))));
        expect([...toIds(union(x.slice(), y))]).toEqual(rising(new Set([...a, ...b])));
        expect([...toIds(complement(x, n))]).toEqual(
          rising(Array.from({ length: n }, (_, id) => id).filter((id) => !a.includes(id))),
        );
        expect(countBoth(x, y)).toBe(a.filter((id) => b.includes(id)).length);
        expect([...toIds(insert(emptyBitmap(n), Uint32Array.from(a)))]).toEqual(rising(a));
        for (let id = 0; id < n; id++) expect(has(x, id)).toBe(a.includes(id));
        const seen: number[] = [];
        forEach(x, (id) => seen.push(id));
        expect(seen).toEqual(rising(a));
      }),
    );
  });

  it("keep nothing behind the last record", () => {
    for (const n of [1, 31, 32, 33, 64, 100]) {
      expect(count(fullBitmap(n))).toBe(n);
      expect(count(complement(emptyBitmap(n), n))).toBe(n);
      expect(count(complement(fullBitmap(n), n))).toBe(0);
    }
  });
});

describe("posting lists", () => {
  it("turn record to options round, each record once and in rising order", () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.integer({ min: 0, max: 5 }), { maxLength: 4 }), { maxLength: 30 }),
        (records) => {
          const postings = buildPostings(6, records.length, (record, visit) => {
            for (const option of records[record]) visit(option);
          });
          for (let option = 0; option < 6; option++) {
            expect([...postingsOf(postings, option)]).toEqual(
              records.flatMap((options, record) => (options.includes(option) ? [record] : [])),
            );
          }
        },
      ),
    );
  });
});

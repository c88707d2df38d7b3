import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { visit } from "../api/visit.ts";
import { quickCheck } from "./quick-check.ts";
import { exact, listOf, numberIn, oneOf, someText, text, wholeIn } from "./schema.ts";

const good = { format: 1, at: "2026-11-30T09:15:00Z", tab: "t1", page: "/", band: "wide", act: "see" };
const odd = fc.oneof(
  fc.constantFrom<unknown>(
    undefined,
    null,
    "",
    " ",
    "x",
    0,
    -1,
    1,
    1.5,
    Number.NaN,
    Number.POSITIVE_INFINITY,
    2 ** 60,
    [],
    {},
    true,
  ),
  fc.string(),
  fc.double(),
  fc.array(fc.oneof(fc.string(), fc.integer()), { maxLength: 3 }),
  fc.record({ min: fc.double(), max: fc.string() }, { requiredKeys: [] }),
);
const names = [
  "format",
  "at",
  "tab",
  "edition",
  "page",
  "band",
  "panel",
  "act",
  "field",
  "chosen",
  "text",
  "before",
  "after",
  "ms",
  "other",
];

// The schema itself is the reference.
describe("the quick check of a schema", () => {
  const passes = quickCheck(visit);

  it("never accepts what the schema rejects, and all usual visits", () => {
    fc.assert(
      fc.property(fc.dictionary(fc.constantFrom(...names), odd, { maxKeys: 3 }), (change) => {
        const value = { ...good, ...change };
        if (passes(value)) expect(visit.isValidSync(value)).toBe(true);
      }),
      { numRuns: 3000 },
    );
    expect(passes(good)).toBe(true);
    expect(passes({ ...good, act: "choose", field: "light", chosen: ["shade"], before: 12, after: 3, ms: 40 })).toBe(
      true,
    );
    expect(passes({ ...good, act: "choose", field: "price", chosen: { min: 3 } })).toBe(true);
  });

  it("says no to what is missing, too much, or of another kind", () => {
    const { tab: _tab, ...without } = good;
    for (const bad of [
      without,
      { ...good, other: 1 },
      { ...good, tab: "" },
      { ...good, tab: "x".repeat(41) },
      { ...good, format: 2 },
    ])
      expect(passes(bad)).toBe(false);
    expect([null, [], "text", 4].map((value) => passes(value))).toEqual([false, false, false, false]);
  });

  it("agrees with the schema over other schemas, too", () => {
    const schema = exact({
      name: someText(5),
      note: text(3).optional(),
      size: numberIn(-2, 2).required(),
      count: wholeIn(0, 9).optional(),
      kind: oneOf(["a", "b"]),
      list: listOf(text(2), 2).optional(),
    });
    const quick = quickCheck(schema);
    const member = fc.oneof(odd, fc.constantFrom("a", "b", "abc", 2, 9, ["a"]));
    fc.assert(
      fc.property(
        fc.record(
          { name: member, note: member, size: member, count: member, kind: member, list: member },
          { requiredKeys: ["name", "size", "kind"] },
        ),
        (value) => {
          expect(quick(value)).toBe(schema.isValidSync(value));
        },
      ),
      { numRuns: 3000 },
    );
  });
});

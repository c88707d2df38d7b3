import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { fieldKindFacts } from "../../src/core/catalogue/field-kinds.ts";
import { between, circleIn, type Imports, importsBelow } from "../imports.ts";

const imports = importsBelow("src");
const room = (file: string) => /^src\/core\/([^/]+)\//.exec(file)?.[1];
const rooms = between(imports, room);

/** Rooms of the core that only programs import: what is in the centre does without them. */
const addOns = ["api", "recount", "rehearsal", "report"];

describe("walls", () => {
  it("no file imports itself in a circle, types included", () => {
    expect(circleIn(imports)).toBeUndefined();
  });

  it("no room of the core imports itself in a circle, and there are eighteen at most", () => {
    expect(circleIn(rooms)).toBeUndefined();
    expect(rooms.size).toBeLessThanOrEqual(18);
    expect(rooms.size).toBeGreaterThan(10);
  });

  it.each(["rehearsal", "recount"])("nothing in the centre imports the add-on %s", (addOn) => {
    const users = [...rooms].filter(([name, others]) => others.has(addOn) && !addOns.includes(name));
    expect(users.map(([name]) => name)).toEqual([]);
  });

  it("nothing in the core imports the reading of looks from style sheets", () => {
    const inside = (file: string) => file.startsWith("src/core/look/from-css/");
    const users = [...imports].filter(
      ([file, others]) => file.startsWith("src/core/") && !inside(file) && [...others].some(inside),
    );
    expect(users.map(([file]) => file)).toEqual([]);
  });

  it("no file but the list of field kinds compares a field's kind with a name", () => {
    const names = Object.keys(fieldKindFacts).join("|");
    const comparing = new RegExp(`(?<!definition\\.)\\bkind\\s*[!=]==\\s*"(?:${names})"`);
    expect(comparing.test('field.kind === "date"')).toBe(true);
    const files = [...imports.keys()].filter((file) => comparing.test(readFileSync(file, "utf8")));
    expect(files).toEqual([]);
  });

  it("finds circles where there are any", () => {
    const graph = (edges: Record<string, string[]>): Imports =>
      new Map(Object.entries(edges).map(([from, to]) => [from, new Set(to)]));
    expect(circleIn(graph({ a: ["b", "c"], b: ["d"], c: ["d"], d: [] }))).toBeUndefined();
    expect(circleIn(graph({ a: ["b"], b: ["c"], c: ["d"], d: ["b"] }))).toEqual(["b", "c", "d", "b"]);
    expect([...imports.values()].some((others) => others.size > 3)).toBe(true);
  });
});

import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoPanel } from "../../../demo/panel.ts";
import { moveRow, removeRow, setLabel, setSetting } from "../panel/edit.ts";
import { panelKind } from "../panel/kind.ts";
import { difference } from "./difference.ts";
import { combineEdits, edited, patched, perform } from "./edit.ts";
import { checkDocument, upToDate } from "./kind.ts";
import { stepSchema } from "./patch.ts";
import { InvalidDocument } from "./schema.ts";

/** Any document at all: lists of things with ids, lists of others, and members that come and go. */
const documents = fc.letrec((tie) => ({
  value: fc.oneof(
    { depthSize: "small" },
    fc.constantFrom(null, 0, 1, "a", "b", true),
    fc.array(tie("value"), { maxLength: 4 }),
    fc.dictionary(fc.constantFrom("id", "name", "a.b", "__proto__", "list"), tie("value"), {
      maxKeys: 3,
      noNullPrototype: true,
    }),
  ),
})).value;
const whole = fc.dictionary(fc.constantFrom("rows", "name", "more", "constructor"), documents, {
  maxKeys: 4,
  noNullPrototype: true,
});

describe("the difference of two documents", () => {
  it("leads from one to the other and back, whatever they are", () => {
    fc.assert(
      fc.property(whole, whole, (before, after) => {
        expect(patched(before, difference(before, after))).toEqual(after);
        expect(patched(after, difference(after, before))).toEqual(before);
      }),
    );
  });

  it("is nothing between equals, and passes over what both share", () => {
    fc.assert(fc.property(whole, (one) => difference(one, one).length === 0));
    const change = perform(demoPanel, setLabel("f-light", "Sun", "Light"));
    expect(change?.patches).toEqual([{ op: "replace", path: ["rows", 3, "label"], value: "Sun" }]);
  });
});

describe("an edit", () => {
  const ids = demoPanel.rows.map(({ id }) => id);
  const anyEdit = fc.oneof(
    fc.tuple(fc.constantFrom(...ids), fc.integer({ min: -1, max: 9 })).map(([id, to]) => moveRow(id, to, id)),
    fc.constantFrom(...ids).map((id) => removeRow(id, id)),
    fc.constantFrom(...ids).map((id) => setLabel(id, "Other", id)),
    fc.constant(setSetting("f-light", "counting", "none", "Light")),
  );

  it("is undone by its inverse and done again by its patches, also as a step that was stored", () => {
    fc.assert(
      fc.property(fc.array(anyEdit, { minLength: 1, maxLength: 6 }), (edits) => {
        const change = perform(demoPanel, combineEdits("Several", edits));
        fc.pre(change !== undefined);
        const stored = stepSchema.validateSync(
          JSON.parse(JSON.stringify({ n: 1, words: "Several", patches: change?.patches, inverse: change?.inverse })),
        );
        expect(patched(change?.document ?? demoPanel, stored.inverse)).toEqual(demoPanel);
        expect(patched(demoPanel, stored.patches)).toEqual(change?.document);
      }),
    );
  });

  it("leaves every row that it does not touch the same object, here and where its patches are done", () => {
    fc.assert(
      fc.property(fc.constantFrom(...ids), fc.integer({ min: 0, max: 8 }), (id, to) => {
        const change = perform(demoPanel, moveRow(id, to, id));
        fc.pre(change !== undefined);
        const known = new Set<unknown>(demoPanel.rows);
        const moved = change?.document.rows.filter((row) => !known.has(row)) ?? [];
        expect(moved).toEqual([]);
        const there = patched(demoPanel, JSON.parse(JSON.stringify(change?.patches)));
        expect(there.rows.filter((row) => !known.has(row)).length).toBeLessThanOrEqual(1);
      }),
    );
  });

  it("that changes nothing is none", () => {
    expect(perform(demoPanel, setLabel("f-light", "", "Light"))).toBeUndefined();
    expect(edited(demoPanel, removeRow("nowhere", ""))).toBe(demoPanel);
  });
});

describe("documents of another format", () => {
  it("newer than this program are refused by name, and never guessed at", () => {
    const newer = { ...demoPanel, format: panelKind.format + 1 };
    expect(() => checkDocument(panelKind, newer)).toThrow(InvalidDocument);
    expect(() => checkDocument(panelKind, newer)).toThrow(/its format is 6, but this version reads formats up to 5/);
  });

  it("of a strange one end in a fault, not in an endless loop", () => {
    for (const format of [0, -1, 0.5, 1e9]) {
      expect(() => checkDocument(panelKind, { ...demoPanel, format })).toThrow(InvalidDocument);
    }
    expect(upToDate(panelKind, "text")).toBe("text");
  });
});

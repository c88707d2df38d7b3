import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoPanel } from "../../../demo/panel.ts";
import { edited } from "../document/edit.ts";
import { checkDocument } from "../document/kind.ts";
import { InvalidDocument } from "../document/schema.ts";
import { bandAt, bandRange, bands, isOwn, resolve, withBand, withoutBand } from "../settings/band.ts";
import { setLimits } from "../shop/edit.ts";
import { shopKind } from "../shop/kind.ts";
import { addRow, moveRow, removeRow, renamePanel, setLabel, setPlacement, setSetting } from "./edit.ts";
import { panelKind } from "./kind.ts";
import { orderOptions } from "./option-order.ts";
import { emptyPanel } from "./panel.ts";
import type { Row } from "./panel-schema.ts";

describe("bands", () => {
  // 750 px is one usual limit between phone and wide: common practice, no source.
  it("part the widths at their limits", () => {
    const limits = { medium: 750, wide: 1000 };
    expect([320, 749, 750, 999, 1000, 1600].map((width) => bandAt(width, limits))).toEqual([
      "slim",
      "slim",
      "medium",
      "medium",
      "wide",
      "wide",
    ]);
    expect(bands.map((band) => bandRange(band, limits))).toEqual(["from 1000", "750–999", "to 749"]);
  });

  it("follow the wider one until they are changed, and can be given back", () => {
    const changed = withBand({ wide: "a" }, "medium", "b");
    expect(bands.map((band) => resolve(changed, band))).toEqual(["a", "b", "b"]);
    expect(bands.map((band) => isOwn(changed, band))).toEqual([true, true, false]);
    expect(withoutBand(changed, "medium")).toEqual({ wide: "a" });
    // Set to what it would follow anyway, a band follows.
    expect(withBand(changed, "medium", "a")).toEqual({ wide: "a" });
  });

  it("resolve to what was set last", () => {
    const setting = fc.record({
      wide: fc.nat(3),
      medium: fc.option(fc.nat(3), { nil: undefined }),
      slim: fc.option(fc.nat(3), { nil: undefined }),
    });
    fc.assert(
      fc.property(
        setting,
        fc.constantFrom(...bands),
        fc.nat(3),
        (given, band, value) => resolve(withBand(given, band, value), band) === value,
      ),
    );
  });
});

describe("edits", () => {
  const ids = (rows: readonly Row[]) => rows.map(({ id }) => id);

  it("add, move and remove rows without touching the old document", () => {
    const before = structuredClone(demoPanel);
    const moved = edited(demoPanel, moveRow("f-price", 0, "Price"));
    expect(ids(moved.rows)[0]).toBe("f-price");
    expect(ids(edited(demoPanel, moveRow("f-price", 99, "Price")).rows).at(-1)).toBe("f-price");
    expect(ids(edited(demoPanel, moveRow("f-price", -3, "Price")).rows)[0]).toBe("f-price");
    expect(edited(demoPanel, moveRow("none", 0, "None"))).toEqual(demoPanel);
    expect(ids(edited(demoPanel, removeRow("f-light", "Light")).rows)).not.toContain("f-light");
    const row = { ...demoPanel.rows[0], id: "new" };
    expect(ids(edited(demoPanel, addRow(row, "New", 1)).rows)[1]).toBe("new");
    expect(demoPanel).toEqual(before);
  });

  it("keep every document valid", () => {
    const edit = fc.oneof(
      fc
        .tuple(fc.constantFrom(...ids(demoPanel.rows)), fc.integer({ min: -2, max: 12 }))
        .map(([id, to]) => moveRow(id, to, id)),
      fc.constantFrom(...ids(demoPanel.rows)).map((id) => removeRow(id, id)),
      fc
        .tuple(fc.constantFrom(...ids(demoPanel.rows)), fc.string({ maxLength: 300 }))
        .map(([id, label]) => setLabel(id, label, id)),
      fc.constantFrom(...bands).map((band) => setPlacement(band, "above")),
      fc.string().map(renamePanel),
      fc.constant(setSetting("f-light", "start", "fixed", "Light")),
    );
    fc.assert(
      fc.property(fc.array(edit, { maxLength: 12 }), (edits) => {
        const panel = edited(demoPanel, ...edits);
        expect(checkDocument(panelKind, JSON.parse(JSON.stringify(panel)))).toEqual(panel);
      }),
    );
  });
});

describe("edits of the shop's settings", () => {
  it("keep the limits apart and on the ruler, and the document valid", () => {
    const limits = fc.record({
      medium: fc.integer({ min: -100, max: 5000 }),
      wide: fc.integer({ min: -100, max: 5000 }),
    });
    fc.assert(
      fc.property(fc.array(limits, { maxLength: 5 }), (list) => {
        const settings = edited(shopKind.fresh(""), ...list.map(setLimits));
        expect(checkDocument(shopKind, JSON.parse(JSON.stringify(settings)))).toEqual(settings);
        expect(settings.limits.wide - settings.limits.medium).toBeGreaterThanOrEqual(100);
      }),
    );
  });
});

describe("the schema", () => {
  it("takes the demo's panel and an empty one", () => {
    expect(checkDocument(panelKind, demoPanel)).toEqual(demoPanel);
    expect(checkDocument(panelKind, emptyPanel("New"))).toEqual(emptyPanel("New"));
  });

  it("names the path of the fault", () => {
    const rows = demoPanel.rows.map((row) =>
      row.id === "f-light" ? { ...row, display: { wide: "check-boxes", slim: "piano" } } : row,
    );
    expect(() => checkDocument(panelKind, { ...demoPanel, rows })).toThrow(InvalidDocument);
    try {
      checkDocument(panelKind, { ...demoPanel, rows });
    } catch (error) {
      expect((error as InvalidDocument).path).toBe("rows[3].display.slim");
    }
  });

  it("refuses a display that cannot carry the facet's mode, on any band", () => {
    const rows = demoPanel.rows.map((row) =>
      row.id === "f-light" ? { ...row, display: { wide: "check-boxes", medium: "slider" } } : row,
    );
    try {
      checkDocument(panelKind, { ...demoPanel, rows });
      expect.unreachable();
    } catch (error) {
      expect(error).toBeInstanceOf(InvalidDocument);
      expect((error as InvalidDocument).path).toBe("rows[3].display.medium");
      expect((error as InvalidDocument).message).toMatch(/can’t have the mode “any”; slider can have range/);
    }
  });

  it("refuses anything at all that is not a panel, and never breaks down", () => {
    fc.assert(
      fc.property(fc.anything(), (value) => {
        expect(() => checkDocument(panelKind, value)).toThrow(InvalidDocument);
      }),
    );
  });
});

describe("order of options", () => {
  const options = ["10 cm", "9 cm", "XL", "S", "m"].map((label) => ({ id: label.toLowerCase(), label }));
  const labels = (order: "count" | "name" | "natural") =>
    orderOptions(options, [1, 5, 5, 2, 9], order).map((place) => options[place].label);

  it("goes by count, by name, or naturally", () => {
    expect(labels("count")).toEqual(["m", "XL", "9 cm", "S", "10 cm"]);
    expect(labels("name")).toEqual(["10 cm", "9 cm", "m", "S", "XL"]);
    expect(labels("natural")).toEqual(["S", "m", "XL", "9 cm", "10 cm"]);
  });

  // Source: CLDR's collation: ä is a letter behind z in Swedish, and an a in German.
  it("goes by name as readers of the language do", () => {
    const named = ["Zink", "Äpple", "Ask"].map((label) => ({ id: label.toLowerCase(), label }));
    const inLanguage = (language: string) =>
      orderOptions(named, [1, 1, 1], "name", [], language).map((place) => named[place]?.label);
    expect(inLanguage("sv")).toEqual(["Ask", "Zink", "Äpple"]);
    expect(inLanguage("de")).toEqual(["Äpple", "Ask", "Zink"]);
  });
});

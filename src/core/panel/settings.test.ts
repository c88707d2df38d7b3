import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoPanel } from "../../../demo/panel.ts";
import { combineEdits, type Edit, edited } from "../document/edit.ts";
import { checkDocument, upToDate } from "../document/kind.ts";
import { bands } from "../settings/band.ts";
import { settingDefinition } from "../settings/setting-definitions.ts";
import { type SettingName, settingNames, settingOn, withSetting } from "../settings/settings.ts";
import { copiedSettings, copySettings } from "./copy-settings.ts";
import { duplicateRow, followSetting, resetSetting, setMode, setSetting } from "./edit.ts";
import { panelKind } from "./kind.ts";
import { allOptions } from "./options.ts";
import { emptyPanel, engineFacets, facetRows, newFacet, rulesOf } from "./panel.ts";
import type { FacetRow, OptionRules, PanelDocument } from "./panel-schema.ts";
import { newPiece } from "./pieces.ts";

const light = facetRows(demoPanel).find(({ id }) => id === "f-light") as FacetRow;
const rowOf = (panel: PanelDocument, id = "f-light") => facetRows(panel).find((row) => row.id === id) as FacetRow;

/** Puts rules in the place of a facet's own. */
const withRules = (id: string, rules: OptionRules): Edit<PanelDocument> => ({
  words: "",
  change: (panel) => {
    for (const row of facetRows(panel)) if (row.id === id || row.id === `${id}-2`) row.options = structuredClone(rules);
  },
});

/** Any value that a setting may have. */
function anyValue(name: SettingName): fc.Arbitrary<unknown> {
  const definition = settingDefinition(name);
  if (definition.kind === "choice") return fc.constantFrom(...Object.keys(definition.choices));
  if (definition.kind === "yes-no") return fc.boolean();
  if (definition.kind === "words") return fc.constant({ de: "Filtern" });
  if (definition.kind === "picture") return fc.constantFrom("", "/pictures/shop/a.svg");
  if (definition.kind === "text") return fc.string({ maxLength: definition.longest });
  if (definition.kind === "numbers")
    return fc.array(fc.integer({ min: -1000, max: 1000 }), { maxLength: definition.most });
  return fc.integer({ min: Math.max(definition.min, -1000), max: Math.min(definition.max, 1000) });
}
const setting = fc
  .constantFrom(...settingNames)
  .chain((name) =>
    fc.record({ name: fc.constant(name), value: anyValue(name), band: fc.constantFrom(undefined, ...bands) }),
  );

describe("settings of a facet", () => {
  it("are at their default until they are set, and say nothing in the document then", () => {
    for (const name of settingNames) {
      for (const band of bands) expect(settingOn({}, name, band)).toEqual(settingDefinition(name).fallback);
      expect(
        withSetting(
          {},
          name,
          settingDefinition(name).banded
            ? ({ wide: settingDefinition(name).fallback } as never)
            : (settingDefinition(name).fallback as never),
        ),
      ).toEqual({});
    }
  });

  it("take any value of theirs, hold on the band that they are set on, and keep the document valid", () => {
    fc.assert(
      fc.property(fc.array(setting, { maxLength: 8 }), (steps) => {
        let panel = demoPanel;
        for (const { name, value, band } of steps) {
          panel = edited(panel, setSetting("f-light", name, value as never, "Light", band));
          expect(settingOn(rowOf(panel).settings, name, band ?? "wide")).toEqual(value);
        }
        expect(checkDocument(panelKind, JSON.parse(JSON.stringify(panel)))).toEqual(panel);
        const back = edited(panel, ...settingNames.map((name) => resetSetting("f-light", name, "Light")));
        expect(rowOf(back).settings).toEqual({});
      }),
    );
  });

  it("use the wider band’s again when they are given back", () => {
    const slim = edited(demoPanel, setSetting("f-light", "columns", 2, "Light", "slim"));
    expect(bands.map((band) => settingOn(rowOf(slim).settings, "columns", band))).toEqual([1, 1, 2]);
    expect(rowOf(edited(slim, followSetting("f-light", "columns", "slim", "Light"))).settings).toEqual({});
    expect(setSetting("f-light", "columns", 2, "Light", "slim").words).toBe("Light: columns 2 on slim");
    expect(setSetting("f-light", "foldAfter", 0, "Light").words).toBe("Light: fold after never");
    expect(setSetting("f-light", "rangeLimits", [10, 20], "Price").words).toBe("Price: range limits 10, 20");
  });

  it("are copied from one facet to others, and several edits are one step", () => {
    const set = edited(demoPanel, setSetting("f-light", "counting", "none", "Light"));
    const copy = copySettings(rowOf(set), [rowOf(set, "f-pot-size"), rowOf(set, "f-price")], "Light");
    const copied = edited(set, copy);
    // Own settings are copied, the others' stay, and those that a slider does not support are left out.
    expect(rowOf(copied, "f-pot-size").settings).toEqual({ ...rowOf(set, "f-pot-size").settings, counting: "none" });
    expect(rowOf(copied, "f-price").settings).toEqual(rowOf(set, "f-price").settings);
    expect(copy.words).toBe("Copy from Light to 1 facet: counts");
    const height = {
      ...rowOf(set, "f-price"),
      field: "mature-height",
      settings: { suffix: " cm", max: 340, bubbles: false },
    };
    expect(copiedSettings(height, rowOf(set, "f-price"))).toEqual(["bubbles"]);
    expect(copiedSettings(height, { ...rowOf(set, "f-price"), field: "mature-height" })).toEqual([
      "suffix",
      "max",
      "bubbles",
    ]);
    expect(rowOf(copied, "f-category").settings).toEqual({ order: "natural" });
    const both = combineEdits("Both", [
      setSetting("f-light", "start", "folded", "x"),
      setSetting("f-price", "start", "folded", "y"),
    ]);
    expect(
      ["f-light", "f-price"].map((id) => settingOn(rowOf(edited(demoPanel, both), id).settings, "start", "wide")),
    ).toEqual(["folded", "folded"]);
  });
});

describe("rows over one field", () => {
  const twice = edited(demoPanel, duplicateRow(light, "Light"));

  it("can be duplicated, and share mode and merged options", () => {
    expect(
      facetRows(twice)
        .filter(({ field }) => field === "light")
        .map(({ id }) => id),
    ).toEqual(["f-light", "f-light-2"]);
    const all = edited(twice, setMode(rowOf(twice, "f-light-2"), "all", ""));
    expect([rowOf(all).mode, rowOf(all, "f-light-2").mode]).toEqual(["all", "all"]);
    const rules: OptionRules = {
      ...allOptions,
      merges: [{ label: "Some sun", values: [{ id: "full sun", label: "Full sun", products: 1 }] }],
    };
    const merged = edited(all, withRules("f-light", rules));
    expect(rulesOf(rowOf(merged, "f-light-2")).merges).toEqual(rules.merges);
    expect(checkDocument(panelKind, JSON.parse(JSON.stringify(merged)))).toEqual(merged);
    expect(engineFacets(merged, "wide").filter(({ field }) => field === "light")).toEqual([
      { field: "light", mode: "all", merges: [{ label: "Some sun", values: ["full sun"] }] },
    ]);
  });
});

describe("what the engine is asked", () => {
  it("are ranges where the display of the band shows some, and the fields of link lists", () => {
    const price: FacetRow = {
      ...newFacet("p", "price", "slider", "range", { rangeCount: 4 }),
      display: { wide: "slider", slim: "price-ranges" },
    };
    const links = newPiece("links", "l", { field: "brand", mode: "any" });
    const panel: PanelDocument = {
      ...demoPanel,
      rows: [price, { ...price, id: "r", field: "rating", display: { wide: "stars" } }, links],
    };
    expect(engineFacets(panel, "wide")).toEqual([
      { field: "price", mode: "range" },
      { field: "rating", mode: "range", ranges: { by: "stars", parts: 4 } },
      { field: "brand", mode: "any" },
    ]);
    expect(engineFacets(panel, "slim")[0]).toEqual({
      field: "price",
      mode: "range",
      ranges: { by: "products", parts: 4 },
    });
    const typed = {
      ...panel,
      rows: [
        {
          ...price,
          settings: { rangeBy: "typed" as const, rangeLimits: [10, 20] },
          display: { wide: "price-ranges" as const },
        },
      ],
    };
    expect(engineFacets(typed, "slim")[0].ranges).toEqual({ limits: [10, 20] });
  });
});

describe("panels of format 1", () => {
  it("become the same panel in the present format", () => {
    const facet = {
      kind: "facet",
      id: "f-light",
      field: "light",
      label: "",
      display: { wide: "check-boxes" },
      mode: "any",
    };
    const usual = { start: "open", counting: "live", deadEnd: "fade", order: "count", foldAfter: 8 };
    const old = {
      format: 1,
      name: "Old",
      limits: { medium: 750, wide: 1000 },
      placement: { wide: "left", slim: "drawer" },
      rows: [
        { kind: "piece", id: "chosen", piece: "chosen", label: "Chosen filters" },
        { ...facet, ...usual },
        {
          ...facet,
          ...usual,
          id: "p",
          field: "price",
          mode: "range",
          display: { wide: "slider", slim: "slider" },
          start: "folded",
          foldAfter: 0,
        },
      ],
    };
    const now = checkDocument(panelKind, structuredClone(old));
    expect(now.format).toBe(5);
    expect(now).not.toHaveProperty("limits");
    expect(facetRows(now).map(({ settings, display }) => [settings, display])).toEqual([
      [{}, { wide: "check-boxes" }],
      [
        { start: "folded", foldAfter: { wide: 0 } },
        { wide: "slider-inputs", slim: "slider-inputs" },
      ],
    ]);
    expect(upToDate(panelKind, now)).toBe(now);
  });

  it("keeps the button of a panel that sends its choices on, in format 3", () => {
    const third = (behaviour: object) => ({ ...emptyPanel("Old"), format: 3, behaviour });
    const now = (behaviour: object) => checkDocument(panelKind, third(behaviour)).behaviour;
    expect(now({ sendTo: "/" })).toEqual({ sendTo: "/", apply: { wide: "button" } });
    expect(now({ sendTo: "/", apply: { wide: "once", slim: "button" } })).toEqual({
      sendTo: "/",
      apply: { wide: "button" },
    });
    expect(now({ sticky: { wide: true } })).toEqual({ sticky: { wide: true } });
    const look = { "count.place": { wide: "corner", slim: "after" } };
    const rows = [{ ...newFacet("f", "light", "tiles", "any"), look }];
    expect(facetRows(checkDocument(panelKind, { ...third({}), rows }))[0]?.look).toEqual({
      "count.place": { wide: "top right", slim: "after" },
    });
  });
});

import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoPanel } from "../../../demo/panel.ts";
import { bands } from "../band/band.ts";
import { type Edit, edited, together } from "../document/edit.ts";
import { checkDocument, upToDate } from "../document/kind.ts";
import { cleanHtml } from "../safe/clean-html.ts";
import { isSafeAddress, isSafePicture } from "../safe/safe-address.ts";
import { settingDefinition } from "../setting/setting-definitions.ts";
import { type SettingName, settingNames, settingOn, withSetting } from "../setting/settings.ts";
import { setLanguages } from "../shop/edit.ts";
import { shopKind } from "../shop/kind.ts";
import {
  copySettings,
  duplicateRow,
  followSetting,
  resetSetting,
  setMode,
  setSetting,
  setTranslation,
} from "./edit.ts";
import { panelKind } from "./kind.ts";
import {
  type ListedOption,
  mergeOptions,
  moveOption,
  partOption,
  renameOption,
  setShow,
  showOption,
} from "./option-edit.ts";
import { allOptions, isShown, labelOf, staleValues, withoutValues, wordsIn } from "./options.ts";
import { engineFacets, facetRows, newFacet, rulesOf } from "./panel.ts";
import type { FacetRow, OptionRules, PanelDocument } from "./panel-schema.ts";
import { newPiece, pieceNames } from "./pieces.ts";

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

  it("follow the wider band again when they are given back", () => {
    const slim = edited(demoPanel, setSetting("f-light", "columns", 2, "Light", "slim"));
    expect(bands.map((band) => settingOn(rowOf(slim).settings, "columns", band))).toEqual([1, 1, 2]);
    expect(rowOf(edited(slim, followSetting("f-light", "columns", "slim", "Light"))).settings).toEqual({});
    expect(setSetting("f-light", "columns", 2, "Light", "slim").words).toBe("Light: columns 2 on slim");
    expect(setSetting("f-light", "foldAfter", 0, "Light").words).toBe("Light: fold after never");
    expect(setSetting("f-light", "rangeLimits", [10, 20], "Price").words).toBe("Price: limits 10, 20");
  });

  it("are copied from one facet to others, and several edits are one step", () => {
    const set = edited(demoPanel, setSetting("f-light", "counting", "none", "Light"));
    const copied = edited(set, copySettings(rowOf(set), new Set(["f-pot-size", "f-price"]), "Light"));
    expect(rowOf(copied, "f-pot-size").settings).toEqual({ counting: "none" });
    expect(rowOf(copied, "f-category").settings).toEqual({ order: "natural" });
    const both = together("Both", [
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
      { field: "rating", mode: "range", ranges: { from: [4, 3, 2, 1] } },
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

describe("options of a facet", () => {
  const value = (id: string, products = 3) => ({ id, label: id, products });
  const rules: OptionRules = {
    show: "only",
    picked: [value("red"), value("gone", 12)],
    labels: { red: { text: "❤ Red", others: { de: "Rot", "pt-BR": "Vermelho" } }, lost: { text: "Lost" } },
    merges: [{ label: "Pale", values: [value("white"), value("cream")] }],
    byHand: ["pale", "red"],
  };

  it("are all, only those picked, or all but those", () => {
    expect(["red", "blue"].map((id) => isShown(rules, id))).toEqual([true, false]);
    expect(["red", "blue"].map((id) => isShown({ ...rules, show: "except" }, id))).toEqual([false, true]);
    expect(isShown(allOptions, "anything")).toBe(true);
  });

  it("are called what the designer says, in each language", () => {
    const named = (language: string) => labelOf(rules, { id: "red", label: "Red" }, language);
    expect(["en", "de", "de-AT", "pt-BR", "pt"].map(named)).toEqual(["❤ Red", "Rot", "Rot", "Vermelho", "❤ Red"]);
    expect(labelOf(rules, { id: "blue", label: "Blue" }, "de")).toBe("Blue");
    expect(labelOf(rules, { id: "constructor", label: "Constructor" }, "de")).toBe("Constructor");
    expect(wordsIn({ text: "A" }, "xx")).toBe("A");
  });

  it("that the catalogue no longer states are told with what they once found, and can be forgotten", () => {
    const stated = new Set(["red", "white", "pale"]);
    const stale = staleValues(rules, (id) => stated.has(id));
    expect(stale.map(({ id, products }) => [id, products])).toEqual([
      ["gone", 12],
      ["cream", 3],
      ["lost", 0],
    ]);
    const kept = withoutValues(rules, new Set(stale.map(({ id }) => id)));
    expect(staleValues(kept, (id) => stated.has(id))).toEqual([]);
    expect(kept.merges).toEqual([{ label: "Pale", values: [value("white")] }]);
    const panel = edited(demoPanel, withRules("f-light", rules));
    expect(checkDocument(panelKind, JSON.parse(JSON.stringify(panel)))).toEqual(panel);
  });

  it("and labels in other languages come and go", () => {
    const german = edited(demoPanel, setTranslation("f-light", "de", " Licht ", "Light"));
    expect(rowOf(german).labels).toEqual({ de: "Licht" });
    expect(edited(shopKind.fresh(""), setLanguages(["de", "de"])).languages).toEqual(["de"]);
    expect(checkDocument(panelKind, german)).toEqual(german);
    expect("labels" in rowOf(edited(german, setTranslation("f-light", "de", "", "Light")))).toBe(false);
  });
});

describe("a step over a facet's options", () => {
  const of = { id: "f-light", title: "Light" };
  const listed = (...names: string[]): [ListedOption, ...ListedOption[]] =>
    names.map((name, at) => ({ id: name.toLowerCase(), label: name, original: name, products: at + 1 })) as [
      ListedOption,
      ...ListedOption[],
    ];
  const all = listed("Sun", "Shade", "Half");
  const [sun, shade] = all as [ListedOption, ListedOption];
  const rules = (...edits: Edit<PanelDocument>[]) => rulesOf(rowOf(edited(demoPanel, ...edits)));

  it("leaves one out, takes it back, and turns the rule round without moving what is in sight", () => {
    const out = showOption(of, shade, false);
    expect(rules(out)).toMatchObject({ show: "except", picked: [{ id: "shade", label: "Shade", products: 2 }] });
    expect(rowOf(edited(demoPanel, out, showOption(of, shade, true))).options).toBeUndefined();
    const turned = rules(out, setShow(of, "only", all));
    expect(turned.picked.map(({ id }) => id)).toEqual(["sun", "half"]);
    for (const { id } of all) expect(isShown(turned, id)).toBe(isShown(rules(out), id));
    expect(out.words).toBe("Light: leave out Shade");
  });

  it("names one in the shop's language and in others, and forgets an empty name", () => {
    const named = [renameOption(of, sun, " Full "), renameOption(of, sun, "Sonne", "de")];
    expect(rules(...named).labels).toEqual({ sun: { text: "Full", others: { de: "Sonne" } } });
    expect(
      rowOf(edited(demoPanel, ...named, renameOption(of, sun, ""), renameOption(of, sun, "", "de"))).options,
    ).toBeUndefined();
  });

  it("merges several under the first one's name, also merged ones, for all rows over the field, and parts them", () => {
    const twice = edited(demoPanel, duplicateRow(light, "Light"));
    const merged = edited(twice, mergeOptions(of, [sun, shade]));
    for (const id of ["f-light", "f-light-2"])
      expect(rulesOf(rowOf(merged, id)).merges.map(({ values }) => values.length)).toEqual([2]);
    const again = edited(merged, mergeOptions(of, [{ ...sun, id: "sun" }, ...listed("Half")]));
    expect(rulesOf(rowOf(again)).merges).toMatchObject([
      { label: "Sun", values: [{ id: "sun" }, { id: "shade" }, { id: "half" }] },
    ]);
    expect(edited(again, partOption(of, sun))).toEqual(twice);
    expect(checkDocument(panelKind, JSON.parse(JSON.stringify(again)))).toEqual(again);
  });

  it("moves one by hand, which the order then goes by", () => {
    const moved = edited(demoPanel, moveOption(of, "half", "sun", all));
    expect(rulesOf(rowOf(moved)).byHand).toEqual(["half", "sun", "shade"]);
    expect(settingOn(rowOf(moved).settings, "order", "wide")).toBe("hand");
    expect(edited(demoPanel, moveOption(of, "nowhere", "sun", all)).rows.length).toBe(demoPanel.rows.length);
  });
});

describe("pieces", () => {
  it("are valid as they come", () => {
    const rows = pieceNames.map((piece) => newPiece(piece, piece, { field: "brand", mode: "any" }));
    expect(checkDocument(panelKind, { ...demoPanel, rows }).rows).toEqual(rows);
  });

  it("lead to safe addresses only", () => {
    for (const address of [
      "https://a.example/b",
      "HTTP://a.example",
      "mailto:a@b.example",
      "tel:+3112",
      "/shop",
      "?light=shade",
      "#top",
    ])
      expect([address, isSafeAddress(address)]).toEqual([address, true]);
    for (const address of [
      "javascript:x",
      " javascript:x",
      "java\tscript:x",
      "data:text/html,x",
      "//evil.example",
      "/\\evil.example",
      "vbscript:x",
      "x",
      "",
    ])
      expect([address, isSafeAddress(address)]).toEqual([address, false]);
    expect(["/a.png", "https://a.example/a.png"].map(isSafePicture)).toEqual([true, true]);
    expect(["data:image/svg+xml,x", "javascript:x", "//x.example/a.png", "mailto:x"].some(isSafePicture)).toBe(false);
  });

  // Source: the cases of OWASP's filter evasion cheat sheet that concern tags, attributes and addresses, from memory.
  it("hold text in which nothing can run, and cleaning again changes nothing", () => {
    const evil = [
      '<img src=x onerror="x()">',
      "<svg onload=x()>",
      "<script>x()</script>",
      '<a href="javascript:x()">a</a>',
      '<a href="&#106;avascript:x()">a</a>',
      '<a href="//evil.example">a</a>',
      '<p style="background:url(javascript:x())">a</p>',
      '<iframe srcdoc="<script>x()</script>"></iframe>',
      "<p><<script>x()</script>",
      '<math><a xlink:href="javascript:x()">a</a></math>',
    ];
    for (const html of evil)
      expect(cleanHtml(html)).not.toMatch(/script:|onerror|onload|<(?:script|svg|img|iframe|math)|style=|evil/i);
    expect(cleanHtml('<p>Fine <strong>and</strong> <a href="/shop">well</a></p>')).toBe(
      '<p>Fine <strong>and</strong> <a href="/shop">well</a></p>',
    );
    fc.assert(
      fc.property(
        fc.string(),
        fc.constantFrom(...evil),
        (text, html) => cleanHtml(cleanHtml(text + html)) === cleanHtml(text + html),
      ),
    );
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
    expect(now.format).toBe(3);
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
});

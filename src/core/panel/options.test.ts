import { describe, expect, it } from "vitest";
import { demoPanel } from "../../../demo/panel.ts";
import { type Edit, edited } from "../document/edit.ts";
import { checkDocument } from "../document/kind.ts";
import { settingOn } from "../settings/settings.ts";
import { setLanguages } from "../shop/edit.ts";
import { shopKind } from "../shop/kind.ts";
import { duplicateRow, replaceRow, setTranslation } from "./edit.ts";
import { panelKind } from "./kind.ts";
import {
  type ListedOption,
  listOptions,
  mergeOptions,
  moveOption,
  pickOptions,
  placeOptions,
  renameOption,
  setBelow,
  setShow,
  showOption,
  splitFacet,
  unmergeOption,
} from "./option-edit.ts";
import { allOptions, isShown, labelOf, staleValues, withoutValues, wordsIn } from "./options.ts";
import { facetRows, isFacet, rulesOf } from "./panel.ts";
import type { FacetRow, OptionRules, PanelDocument } from "./panel-schema.ts";

const light = facetRows(demoPanel).find(({ id }) => id === "f-light") as FacetRow;
const rowOf = (panel: PanelDocument, id = "f-light") => facetRows(panel).find((row) => row.id === id) as FacetRow;

/** Puts rules in the place of a facet's own. */
const withRules = (id: string, rules: OptionRules): Edit<PanelDocument> => ({
  words: "",
  change: (panel) => {
    for (const row of facetRows(panel)) if (row.id === id || row.id === `${id}-2`) row.options = structuredClone(rules);
  },
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

  it("are listed in the order of the names that shoppers read", () => {
    const row: FacetRow = {
      ...light,
      settings: { order: { wide: "name" } },
      options: { ...allOptions, labels: { "full sun": { text: "Zenith" } } },
    };
    const options = ["Full sun", "Shade"].map((label) => ({ id: label.toLowerCase(), label }));
    const listed = listOptions(row, { options, counts: { steady: Uint32Array.of(5, 3), live: Uint32Array.of(5, 3) } });
    expect(listed).toEqual([
      { id: "shade", label: "Shade", original: "Shade", products: 3 },
      { id: "full sun", label: "Zenith", original: "Full sun", products: 5 },
    ]);
  });

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
    expect(edited(again, unmergeOption(of, sun))).toEqual(twice);
    expect(checkDocument(panelKind, JSON.parse(JSON.stringify(again)))).toEqual(again);
  });

  it("splits the facet in two that together offer what it offered, in every rule", () => {
    for (const show of ["all", "only", "except"] as const) {
      const before = rowOf(edited(demoPanel, showOption(of, all[2] as ListedOption, false), setShow(of, show, all)));
      const offered = all.filter(({ id }) => isShown(rulesOf(before), id));
      const whole = edited(demoPanel, replaceRow(before, ""));
      const panel = edited(whole, splitFacet(before, "Light", offered.slice(0, 1)));
      const at = panel.rows.findIndex(({ id }) => id === "f-light");
      const [first, rest] = panel.rows.slice(at, at + 2).filter(isFacet);
      const shown = (row = first) => all.filter(({ id }) => row && isShown(rulesOf(row), id)).map(({ id }) => id);
      expect([shown(first), shown(rest)]).toEqual([["sun"], offered.slice(1).map(({ id }) => id)]);
      expect([rest?.label, rest?.settings.start, panel.rows.length]).toEqual([
        "Light …",
        "folded",
        demoPanel.rows.length + 1,
      ]);
      expect(checkDocument(panelKind, JSON.parse(JSON.stringify(panel)))).toEqual(panel);
    }
  });

  it("moves one by hand, which the order then goes by", () => {
    const moved = edited(demoPanel, moveOption(of, "half", "sun", all));
    expect(rulesOf(rowOf(moved)).byHand).toEqual(["half", "sun", "shade"]);
    expect(settingOn(rowOf(moved).settings, "order", "wide")).toBe("hand");
    expect(edited(demoPanel, moveOption(of, "nowhere", "sun", all)).rows.length).toBe(demoPanel.rows.length);
  });
});

describe("options picked, merged and put in order", () => {
  const of = { id: "f-light", title: "Light" };
  const listed = (id: string, products: number): ListedOption => ({ id, label: id, original: id, products });
  const all = [listed("sun", 9), listed("half", 5), listed("shade", 7), listed("cave", 1)];
  const [sun, half, shade, cave] = all as [ListedOption, ListedOption, ListedOption, ListedOption];
  const rulesAfter = (...edits: Edit<PanelDocument>[]) =>
    rulesOf(rowOf(edits.reduce((panel, edit) => edited(panel, edit), demoPanel)));
  const shownOf = (rules: OptionRules) => all.filter(({ id }) => isShown(rules, id)).map(({ id }) => id);

  it("begin with all, none, or the most frequent", () => {
    expect(shownOf(rulesAfter(pickOptions(of, "all", all)))).toEqual(["sun", "half", "shade", "cave"]);
    expect(shownOf(rulesAfter(pickOptions(of, "none", all)))).toEqual([]);
    expect(shownOf(rulesAfter(pickOptions(of, 2, all)))).toEqual(["sun", "shade"]);
  });

  it("that are merged stay where one of them was shown, and parted are what they were", () => {
    const picked = pickOptions(of, 2, all);
    // “half” was left out and “sun” was not, whichever gives its name.
    for (const pair of [[half, sun] as const, [sun, half] as const]) {
      const merged = rulesAfter(picked, mergeOptions(of, pair));
      expect(isShown(merged, pair[0].id)).toBe(true);
      const parted = rulesAfter(
        picked,
        mergeOptions(of, pair),
        unmergeOption(of, { ...pair[0], label: pair[0].label }),
      );
      expect(shownOf(parted)).toEqual(["sun", "shade"]);
      expect(parted.merges).toEqual([]);
    }
    const out = rulesAfter(picked, mergeOptions(of, [half, cave]));
    expect(isShown(out, "half")).toBe(false);
    // All but some: the same the other way round.
    const but = showOption(of, half, false);
    expect(shownOf(rulesAfter(but, mergeOptions(of, [half, sun]), unmergeOption(of, half)))).toEqual([
      "sun",
      "shade",
      "cave",
    ]);
  });

  it("merged twice are parted into all that they were made of", () => {
    const twice = rulesAfter(
      pickOptions(of, 1, all),
      mergeOptions(of, [half, sun]),
      mergeOptions(of, [{ ...half }, shade]),
      unmergeOption(of, half),
    );
    expect(shownOf(twice)).toEqual(["sun"]);
  });

  it("are put first, last, or at a number, several together in their order", () => {
    expect(rulesAfter(placeOptions(of, ["cave"], 0, all)).byHand).toEqual(["cave", "sun", "half", "shade"]);
    expect(rulesAfter(placeOptions(of, ["shade", "sun"], 99, all)).byHand).toEqual(["half", "cave", "sun", "shade"]);
    expect(rulesAfter(placeOptions(of, ["cave"], 1, all)).byHand).toEqual(["sun", "cave", "half", "shade"]);
    expect(placeOptions(of, ["cave"], 1, all).words).toBe("Light: move cave to position 2");
    expect(rulesAfter(moveOption(of, "sun", "shade", all)).byHand).toEqual(["half", "shade", "sun", "cave"]);
  });

  it("of a tree can be its top level or the branches of one category, with what comes later, and say so in the document", () => {
    const of = { id: "f-category", title: "Category" };
    const ids = ["plants", "plants > climbers", "plants > climbers > clematis", "pots"];
    const shown = (panel: PanelDocument) => ids.filter((id) => isShown(rulesOf(rowOf(panel, "f-category")), id));
    const top = edited(demoPanel, setBelow(of, "", "the top level only"));
    expect(shown(top)).toEqual(["plants", "pots"]);
    expect(checkDocument(panelKind, top)).toEqual(top);
    const below = edited(top, setBelow(of, "plants", "directly below Plants"));
    expect(shown(below)).toEqual(["plants > climbers"]);
    expect(staleValues(rulesOf(rowOf(below, "f-category")), (id) => id !== "plants")).toMatchObject([{ id: "plants" }]);
    expect(withoutValues(rulesOf(rowOf(below, "f-category")), new Set(["plants"])).below).toBeUndefined();
    expect(edited(below, setBelow(of, undefined, "all levels"))).toEqual(demoPanel);
  });
});

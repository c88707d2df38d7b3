import { readFileSync } from "node:fs";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoLook } from "../../../demo/look.ts";
import { demoPages } from "../../../demo/pages.ts";
import { demoPanel } from "../../../demo/panel.ts";
import { aLook } from "../../../tests/random-look.ts";
import * as mendEdits from "../catalogue/mend/edit.ts";
import { mendsKind } from "../catalogue/mend/kind.ts";
import { readCatalogue } from "../catalogue/read.ts";
import { listDifferences, same, shortenedList } from "../document/differences.ts";
import { type Edit, edited } from "../document/edit.ts";
import * as lookEdits from "../look/edit.ts";
import { tokens } from "../look/tokens.ts";
import * as pageEdits from "../page/edit.ts";
import { copySettings } from "../panel/copy-settings.ts";
import * as panelEdits from "../panel/edit.ts";
import * as optionEdits from "../panel/option-edit.ts";
import { facetRows, newFacet } from "../panel/panel.ts";
import { newPiece } from "../panel/pieces.ts";
import type { WholeShop } from "../shop/archive/whole-shop.ts";
import { shopKind } from "../shop/kind.ts";
import * as swatchEdits from "../swatch/edit.ts";
import { swatchesKind } from "../swatch/kind.ts";
import { shopDifferences } from "./shop-differences.ts";

const catalogue = readCatalogue(readFileSync("demo/nursery.csv")).catalogue;
const demo: WholeShop = {
  name: "Larkmoss Nursery",
  currency: "EUR",
  catalogue,
  reading: [],
  shop: shopKind.fresh(""),
  pages: demoPages,
  swatches: swatchesKind.fresh(""),
  mends: mendsKind.fresh(""),
  panels: [{ slug: "finder", document: demoPanel }],
  looks: [{ slug: "house", document: demoLook }],
  pictures: new Map(),
};
const words = (after: WholeShop, before = demo) =>
  shopDifferences(before, after).map((one) => `${one.where}: ${one.words}`);
const [row, other] = facetRows(demoPanel);
const light = facetRows(demoPanel).find((one) => one.id === "f-light");
const token = tokens.get("tile.radius");
const colour = tokens.get("ink");
const [collection] = demoPages.collections;
const [article] = demoPages.articles;
if (!row || !other || !light || !token || !colour || !collection || !article)
  throw new Error("The demo has all of these.");
const { id } = row;
const options = [
  { id: "shade", label: "Shade", original: "Shade", products: 3 },
  { id: "half shade", label: "Half shade", original: "Half shade", products: 4 },
] satisfies [optionEdits.ListedOption, ...optionEdits.ListedOption[]];
const ember = { field: "flower-colour", id: "ember", label: "Ember" };

type Case = [name: string, edit: Edit<never>];
/** An edit of each sort; by name, so that one that is added without a sentence is missed. */
const panelCases: Case[] = [
  ["addRow", panelEdits.addRow(newFacet("new", "brand", "check-boxes", "any"), "Brand")],
  ["removeRow", panelEdits.removeRow(id, "")],
  ["moveRow", panelEdits.moveRow(id, 4, "")],
  ["duplicateRow", panelEdits.duplicateRow(row, "")],
  ["setLabel", panelEdits.setLabel(id, "Another", "")],
  ["setTranslation", panelEdits.setTranslation(id, "de", "Anders", "")],
  ["replaceRow", panelEdits.replaceRow({ ...row, label: "Replaced" }, "")],
  ["setMode", panelEdits.setMode({ ...row, mode: "any" }, "one", "")],
  ["setSetting", panelEdits.setSetting(id, "share", "half", "", "wide")],
  ["copySettings", copySettings({ ...row, settings: { share: { wide: "third" } } }, [other], "")],
  ["setPlacement", panelEdits.setPlacement("wide", "right")],
  ["renamePanel", panelEdits.renamePanel("Another")],
  ["setBehaviour", panelEdits.setBehaviour("apply", "button")],
  ["setLook", panelEdits.setLook("house", "")],
  ["setOptionStyle", panelEdits.setOptionStyle(id, "none", "")],
  ["takeAsStyle", panelEdits.takeAsStyle(id, "style", "")],
  ["setOverride", panelEdits.setOverride(id, { "tile.radius": { wide: 3 } }, "")],
] as unknown as Case[];
const optionCases: Case[] = [
  ["setBelow", optionEdits.setBelow({ id: "f-light", title: "" }, "", "the top level only")],
  ["setShow", optionEdits.setShow({ id: "f-light", title: "" }, "only", options)],
  ["showOption", optionEdits.showOption({ id: "f-light", title: "" }, options[0], false)],
  ["renameOption", optionEdits.renameOption({ id: "f-light", title: "" }, options[0], "Dark")],
  ["mergeOptions", optionEdits.mergeOptions({ id: "f-light", title: "" }, options)],
  ["moveOption", optionEdits.moveOption({ id: "f-light", title: "" }, "shade", "half shade", options)],
  ["pickOptions", optionEdits.pickOptions({ id: "f-light", title: "" }, 1, options)],
  ["placeOptions", optionEdits.placeOptions({ id: "f-light", title: "" }, ["shade"], 1, options)],
  ["splitFacet", optionEdits.splitFacet(light, "Light", options.slice(0, 1))],
  ["relabelOptions", optionEdits.relabelOptions({ id: "f-light", title: "" }, { shade: "Dark" })],
] as unknown as Case[];
const pageCases: Case[] = [
  ["setLayout", pageEdits.setLayout({ kind: "brand" }, { size: 7 }, "")],
  ["placePanel", pageEdits.placePanel({ kind: "tag" }, [], "finder", { wide: "left" }, "")],
  ["addCollection", pageEdits.addCollection({ ...collection, id: "new", slug: "new", name: "New" })],
  ["setCollection", pageEdits.setCollection({ ...collection, name: "Renamed" }, "")],
  ["removeCollection", pageEdits.removeCollection(collection)],
  ["addArticle", pageEdits.addArticle({ ...article, id: "new", slug: "new", title: "New" })],
  ["setArticle", pageEdits.setArticle({ ...article, html: "<p>Other</p>" }, "")],
  ["removeArticle", pageEdits.removeArticle(article)],
  ["setBars", pageEdits.setBars(demoPages.bars.slice(0, 1), "")],
  ["setMenu", pageEdits.setMenu([], "")],
  ["setSearch", pageEdits.setSearch([], "")],
] as unknown as Case[];
const lookCases: Case[] = [
  ["setToken", lookEdits.setToken(token, "slim", 21)],
  ["setDark", lookEdits.setDark(colour, "#fafafa")],
  ["setTokens", lookEdits.setTokens("", { "tile.radius": { wide: 13 } })],
  ["takeLook", lookEdits.takeLook("", { ...demoLook, values: {} })],
  ["setLookName", lookEdits.setLookName("Other")],
  ["setExtraCss", lookEdits.setExtraCss("& .zt-tile { color: red }")],
  ["addStyle", lookEdits.addStyle("new", "New")],
  ["removeStyle", lookEdits.removeStyle(demoLook.styles[0]?.id ?? "")],
  ["changeStyle", lookEdits.changeStyle(demoLook.styles[0]?.id ?? "", "", { name: "Renamed" })],
] as unknown as Case[];
const swatchCases: Case[] = [
  ["setWhole", swatchEdits.setWhole([{ value: ember, entry: { colours: ["#c23b22"] }, own: undefined }], "")],
  ["setColours", swatchEdits.setColours(ember, ["#c23b22"])],
  ["setDrawing", swatchEdits.setDrawing(ember, "stripes")],
  ["setPicture", swatchEdits.setPicture(ember, `/pictures/shop/${"a".repeat(64)}.png`)],
  ["setAlt", swatchEdits.setAlt(ember, "glowing")],
  ["setPhotos", swatchEdits.setPhotos("flower-colour", { ember: { colours: ["#c23b22"], agree: 1, of: 1 } }, "")],
  ["setLimit", swatchEdits.setLimit(9)],
  ["setOrder", swatchEdits.setOrder("flower-colour", ["name"], "")],
] as unknown as Case[];

const into = (member: "panels" | "looks" | "pages" | "swatches" | "mends", edit: Edit<never>): WholeShop => {
  const change = edit as unknown as Edit<object>;
  if (member === "panels")
    return { ...demo, panels: [{ slug: "finder", document: edited(demoPanel, change as Edit<typeof demoPanel>) }] };
  if (member === "looks")
    return { ...demo, looks: [{ slug: "house", document: edited(demoLook, change as Edit<typeof demoLook>) }] };
  return { ...demo, [member]: edited(demo[member], change as Edit<never>) };
};

describe("differences in words", () => {
  it.each<["panels" | "looks" | "pages" | "swatches", Case[]]>([
    ["panels", panelCases],
    ["panels", optionCases],
    ["pages", pageCases],
    ["looks", lookCases],
    ["swatches", swatchCases],
  ])("say something of every edit of %s", (member, cases) => {
    for (const [name, edit] of cases) {
      const after = into(member, edit);
      expect(same(after, demo), `${name} changes something`).toBe(false);
      expect(words(after), name).not.toEqual([]);
      // And back again, which is what taking it back would say.
      expect(words(demo, after), name).not.toEqual([]);
    }
  });

  it("know every edit that there is, but for those that lead back", () => {
    const back = /^(?:follow|reset|forget|unmerge)/;
    const helpers = [
      ...["spoken", "spokenValue", "facetEdit", "withValue", "withoutValue", "spokenToken", "rulesOf"],
      ...["listOptions", "mergeFor", "movePanelUp", "removePanelFromPage", "setShared", "setMany", "layoutOf"],
    ];
    for (const [edits, cases] of [
      [panelEdits, panelCases],
      [optionEdits, optionCases],
      [pageEdits, pageCases],
      [lookEdits, lookCases],
      [swatchEdits, swatchCases],
    ] as const) {
      const names = Object.keys(edits).filter((name) => !back.test(name) && !helpers.includes(name));
      expect(names.filter((name) => !cases.some(([one]) => one === name))).toEqual([]);
    }
  });

  it("are none between a shop and itself", () => {
    const again = { panels: structuredClone(demo.panels), pages: structuredClone(demo.pages), catalogue };
    expect(words({ ...demo, ...again })).toEqual([]);
  });

  it("name what it is about, with both values", () => {
    const wide = into("panels", panelEdits.setSetting(id, "share", "half", "", "wide") as never);
    expect(words(wide)[0]).toBe("Panel “Climber finder”: Category: width is ½, before: auto (default)");
    expect(words(into("looks", lookEdits.setToken(token, "slim", 21) as never))[0]).toMatch(
      /Tile: corner radius is .*21px on slim/,
    );
    expect(words({ ...demo, currency: "USD" })).toEqual(["Shop: has prices in USD, before: EUR"]);
    const piece = newPiece("heading", "heading");
    const more = into("panels", panelEdits.addRow(piece, "") as never);
    expect(words(more)).toEqual(["Panel “Climber finder”: Find your way was added"]);
  });

  it("tell a catalogue's by product and field", () => {
    const csv = readFileSync("demo/nursery.csv", "utf8")
      .replace(/^LM240,.*\n/m, "")
      .replaceAll(",Ember,", ",Emberglow,");
    const after = { ...demo, catalogue: readCatalogue(new TextEncoder().encode(csv)).catalogue };
    const told = words(after).join("\n");
    expect(told).toMatch(/Catalogue: one product removed/);
    expect(told).toMatch(/Flower colour: new “Emberglow”/);
    expect(told).toMatch(/Flower colour: removed “Ember”/);
  });

  it("tell as little as moved as can be, and name a few of many", () => {
    const list = (before: string, after: string) => [
      ...listDifferences([...before], [...after], String, String, () => []),
    ];
    expect(list("abcde", "ebcda")).toHaveLength(2);
    expect(list("abcde", "bcdea")).toEqual(["a was moved"]);
    expect(list("abc", "acx")).toEqual(["x was added", "b was removed"]);
    expect(shortenedList(["a", "b", "c"], 2)).toBe("“a”, “b” and 1 more");
  });

  it("find something exactly where something is another", () => {
    fc.assert(
      fc.property(aLook(), aLook(), (before, after) => {
        const at = (document: typeof before) => ({ ...demo, looks: [{ slug: "house", document }] });
        expect(words(at(after), at(before)).length > 0).toBe(!same(before, after));
      }),
      { numRuns: 60 },
    );
  });

  it("say what mends do", () => {
    expect(Object.keys(mendEdits).length).toBeGreaterThan(0);
    const mend = { id: "m", kind: "values" as const, field: "flower-colour", from: ["Embr"], to: ["Ember"] };
    const after = { ...demo, mends: { ...demo.mends, mends: [mend] } };
    expect(words(after as WholeShop)).toEqual(["Corrections: Flower colour: “Embr” to “Ember” was added"]);
  });

  it("are told of the document that changed, among several of a kind", () => {
    const second = { slug: "second", document: { ...demoPanel, name: "Second" } };
    const both = { ...demo, panels: [...demo.panels, second] };
    const changed = (one: typeof second) => ({
      ...one,
      document: edited(one.document, panelEdits.removeRow(id, "a row")),
    });
    for (const at of [0, 1]) {
      const panels = both.panels.map((one, place) => (place === at ? changed(one) : one));
      const found = words({ ...both, panels }, both);
      expect(found.length).toBeGreaterThan(0);
      expect(found.every((one) => one.includes("“Second”") === (at === 1))).toBe(true);
    }
  });
});

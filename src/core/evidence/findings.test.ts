import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { readCatalogue } from "../catalogue/read.ts";
import { CatalogueIndex } from "../index/catalogue-index.ts";
import { LocalEngine } from "../match/engine.ts";
import { emptySelection, type Selection } from "../match/selection.ts";
import { emptyPanel, type FacetRow, newFacet, type PanelDocument, type Row } from "../panel/document.ts";
import { mendEdit } from "../panel/mend-step.ts";
import { allOptions } from "../panel/options.ts";
import { checkPanel } from "../panel/schema.ts";
import { type Finding, findFindings, looksRaw, type Measures, readable } from "./findings.ts";
import { profileField } from "./profile.ts";

const nursery = new CatalogueIndex(readCatalogue(readFileSync("demo/nursery.csv")).catalogue);
// 21 products of which 12 state no size: common practice, no source.
const twentyOne = new CatalogueIndex(
  readCatalogue(
    new TextEncoder().encode(
      `product_id,title,size,care,empty,price\n${Array.from({ length: 21 }, (_, i) => `p${i},T${i},${i < 9 ? "S|M".split("|")[i % 2] : ""},pet_safe:${i % 2},,${i === 20 ? 4000 : i + 1}`).join("\n")}\n`,
    ),
  ).catalogue,
);
const panelOf = (...rows: Row[]): PanelDocument => ({ ...emptyPanel("Trial"), rows });
const find = (index: CatalogueIndex, panel: PanelDocument, selection: Selection = emptySelection, measures: Measures = {}) =>
  findFindings(new LocalEngine(index), panel, selection, measures);
const profileOf = (index: CatalogueIndex) => (key: string) => {
  const field = index.field(key);
  return field && profileField(index, field);
};

/** The finding of a kind; after its mend the panel is valid and the finding is gone. */
function mended(
  index: CatalogueIndex,
  panel: PanelDocument,
  kind: Finding["kind"],
  selection: Selection = emptySelection,
  measures: Measures = {},
): string {
  const finding = find(index, panel, selection, measures).find((one) => one.kind === kind);
  if (!finding) throw new Error(`There is no finding ${kind}.`);
  if (finding.mend) {
    const edit = mendEdit(panel, finding, profileOf(index));
    const after = edit?.apply(panel) ?? panel;
    expect(checkPanel(JSON.parse(JSON.stringify(after)))).toEqual(after);
    // What was measured before the mend says nothing of what is after it.
    expect(find(index, after, selection).filter((one) => one.kind === kind)).toEqual([]);
    expect(edit?.words).toBe(`Mend: ${finding.words}`);
  }
  return finding.words;
}

describe("findings", () => {
  it("1: a facet that no product states, or whose field is gone", () => {
    expect(mended(twentyOne, panelOf(newFacet("e", "empty", "check-boxes", "any")), 1)).toBe(
      "Empty: no product states it, so nothing appears.".replace("Empty", "empty"),
    );
    expect(mended(twentyOne, panelOf(newFacet("x", "moon", "check-boxes", "any")), 1)).toBe(
      "moon: the catalogue has no such field, so nothing appears.",
    );
  });

  it("2: of 21 products 9 are reached when 12 state nothing", () => {
    expect(mended(twentyOne, panelOf(newFacet("s", "size", "tiles", "any")), 2)).toBe(
      "size reaches 9 of 21 products; 12 do not state it and vanish with any choice.",
    );
  });

  it("3: names that the catalogue no longer has", () => {
    const row: FacetRow = {
      ...newFacet("s", "size", "tiles", "any"),
      options: {
        ...allOptions,
        show: "only",
        picked: [
          { id: "s", label: "S", products: 5 },
          { id: "xl", label: "XL", products: 7 },
        ],
      },
    };
    expect(mended(twentyOne, panelOf(row), 3)).toBe("size names a value that no product states: “XL” (once 7).");
  });

  it("4: counts that ignore what is chosen, with what they lead to", () => {
    const panel = panelOf(newFacet("l", "light", "check-boxes", "any", { counting: "steady" }), newFacet("c", "category", "tree", "tree"));
    expect(mended(nursery, panel, 4)).toMatch(/^Light: its counts ignore/);
    const pots = { text: "", choices: { category: { options: ["pots"] } } };
    expect(mended(nursery, panel, 4, pots)).toBe("Light: 3 counts ignore what is chosen; “Full sun 92” leads to 0.");
  });

  it("5: options that lead to nothing and look like the others", () => {
    const panel = panelOf(newFacet("l", "light", "check-boxes", "any", { deadEnd: "keep" }), newFacet("c", "category", "tree", "tree"));
    expect(find(nursery, panel).map(({ kind }) => kind)).not.toContain(5);
    expect(mended(nursery, panel, 5, { text: "", choices: { category: { options: ["pots"] } } })).toBe(
      "Light: 3 of 3 options lead to nothing now and look like the others.",
    );
  });

  it("7: sold-out variants that cannot be left out", () => {
    expect(mended(nursery, panelOf(newFacet("l", "light", "check-boxes", "any")), 7)).toBe(
      "148 of 799 variants are sold out, and shoppers cannot leave them out.",
    );
  });

  it("8: all-of where most pairs find nothing", () => {
    expect(mended(nursery, panelOf(newFacet("b", "brand", "check-boxes", "all")), 8)).toBe(
      "Brand wants all that is chosen: of the 15 pairs of its most frequent options 15 find nothing.",
    );
  });

  it("12: typed ends that leave products out, and a scale that one dear product stretches", () => {
    const typed = panelOf(newFacet("p", "price", "slider", "range", { ends: "typed", least: 0, most: 1000, scale: "bent" }));
    expect(mended(twentyOne, typed, 12)).toBe("Price: 1 product lies outside the typed ends and can be chosen only with all beyond them.");
    expect(mended(twentyOne, panelOf(newFacet("p", "price", "slider", "range")), 12)).toBe(
      "Price: half of the values lie on the first 1 % of the scale, since a few are far above.",
    );
  });

  it("13: a list that fills the screen", () => {
    const panel = panelOf(newFacet("b", "brand", "check-boxes", "any", { foldAfter: { wide: 0 } }));
    const measure = { rows: { b: 700 }, panel: 900, screen: 800, products: 200 };
    expect(mended(nursery, panel, 13, emptySelection, { wide: measure })).toBe("Brand is 700 px high on wide, 88 % of the screen.");
  });

  it("17: a phone without a panel, or with all of it above the products", () => {
    const panel = { ...panelOf(newFacet("b", "brand", "check-boxes", "any")), placement: { wide: "left" as const, slim: "absent" as const } };
    expect(mended(nursery, panel, 17)).toBe("On a phone there is no panel at all.");
    const above = { ...panel, placement: { wide: "left" as const, slim: "above" as const } };
    expect(mended(nursery, above, 17, emptySelection, { slim: { rows: {}, panel: 1800, screen: 844, products: 2110 } })).toBe(
      "On a phone the first product stands 2110 px down, 2.5 screens below the top.",
    );
  });

  it("19: raw values, which are called what people would call them", () => {
    const words = mended(twentyOne, panelOf(newFacet("c", "care", "check-boxes", "any")), 19);
    expect(words).toBe("care shows shoppers 2 raw values, such as “pet_safe:0”.");
    expect(["pet_safe:1", "pet_safe:0", "size:XL", "true", "dark_green"].map(readable)).toEqual([
      "Pet safe",
      "Not pet safe",
      "XL",
      "Yes",
      "Dark green",
    ]);
    expect(["Half shade", "H4 hardy", "9 cm", "Sea green / white"].some(looksRaw)).toBe(false);
  });

  it("none, where nothing is wrong", () => {
    const panel = panelOf(newFacet("l", "category", "tree", "tree"), newFacet("a", "availability", "switch", "any"));
    expect(find(nursery, panel)).toEqual([]);
    expect(find(nursery, emptyPanel("Empty"))).toEqual([]);
  });
});

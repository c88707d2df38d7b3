import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { readCatalogue } from "../catalogue/read.ts";
import { edited } from "../document/edit.ts";
import { checkDocument } from "../document/kind.ts";
import { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import type { Selection } from "../engine/question.ts";
import { emptySelection } from "../engine/selection.ts";
import { panelKind } from "../panel/kind.ts";
import { allOptions } from "../panel/options.ts";
import { emptyPanel, newFacet } from "../panel/panel.ts";
import type { FacetRow, PanelDocument, Row } from "../panel/panel-schema.ts";
import { newPiece } from "../panel/pieces.ts";
import { LocalFacts } from "../profile/local-facts.ts";
import { profileField } from "../profile/profile.ts";
import type { Finding } from "./finding.ts";
import { findFindings, findingKinds } from "./findings.ts";
import { fixEdit } from "./fix.ts";
import type { Measures } from "./measure.ts";
import { isPlaceholder } from "./placeholder-text.ts";
import { looksRaw, readable } from "./raw-labels.ts";

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
const find = (
  index: CatalogueIndex,
  panel: PanelDocument,
  selection: Selection = emptySelection,
  measures: Measures = {},
) => findFindings(new LocalFacts(index), panel, selection, { measures });
const profileOf = (index: CatalogueIndex) => (key: string) => {
  const field = index.field(key);
  return field && profileField(index, field);
};

/** The finding of a kind; after its remedy the panel is valid and the finding is gone. */
async function mended(
  index: CatalogueIndex,
  panel: PanelDocument,
  kind: Finding["kind"],
  selection: Selection = emptySelection,
  measures: Measures = {},
): Promise<string> {
  const finding = (await find(index, panel, selection, measures)).find((one) => one.kind === kind);
  if (!finding) throw new Error(`There is no finding ${kind}.`);
  if (finding.remedy) {
    const edit = fixEdit(panel, finding, profileOf(index));
    const now = edit ? edited(panel, edit) : panel;
    expect(checkDocument(panelKind, JSON.parse(JSON.stringify(now)))).toEqual(now);
    // Earlier measurements say nothing about a later panel.
    expect((await find(index, now, selection)).filter((one) => one.kind === kind)).toEqual([]);
    // History names what was done, not what was wrong.
    expect(edit?.words.toLowerCase()).toContain(finding.remedy.words.toLowerCase());
  }
  return finding.words;
}

describe("findings", () => {
  it("a facet that no product states, or whose field is gone", async () => {
    expect(await mended(twentyOne, panelOf(newFacet("e", "empty", "check-boxes", "any")), "no-values")).toBe(
      "Empty: no product has a value for it, so shoppers see nothing.".replace("Empty", "empty"),
    );
    expect(await mended(twentyOne, panelOf(newFacet("x", "moon", "check-boxes", "any")), "no-values")).toBe(
      "moon: the catalogue doesn’t have this field, so shoppers see nothing.",
    );
  });

  it("of 21 products 9 are reached when 12 state nothing", async () => {
    expect(await mended(twentyOne, panelOf(newFacet("s", "size", "tiles", "any")), "low-reach")).toBe(
      "Only 9 of 21 products have a value for size; the other 12 disappear once it is used.",
    );
  });

  it("names that the catalogue no longer has", async () => {
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
    expect(await mended(twentyOne, panelOf(row), "stale-names")).toBe(
      "size has settings for a value that no product has any more: “XL” (once 7).",
    );
  });

  it("counts that ignore what is chosen, with what they lead to", async () => {
    const panel = panelOf(
      newFacet("l", "light", "check-boxes", "any", { counting: "steady" }),
      newFacet("c", "category", "tree", "tree"),
    );
    expect(await mended(nursery, panel, "steady-counts")).toMatch(/^Light: its counts ignore/);
    const pots = { text: "", choices: { category: { options: ["pots"] } } };
    expect(await mended(nursery, panel, "steady-counts", pots)).toBe(
      "Light: 3 counts ignore the current choices; “Full sun 92” actually finds 0.",
    );
  });

  it("options that lead to nothing and look like the others", async () => {
    const panel = panelOf(
      newFacet("l", "light", "check-boxes", "any", { emptyOptions: "keep" }),
      newFacet("c", "category", "tree", "tree"),
    );
    expect((await find(nursery, panel)).map(({ kind }) => kind)).not.toContain("dead-ends-kept");
    expect(
      await mended(nursery, panel, "dead-ends-kept", { text: "", choices: { category: { options: ["pots"] } } }),
    ).toBe("Light: 3 of 3 options have no products now but look like the others.");
  });

  it("sold-out variants that cannot be left out", async () => {
    expect(await mended(nursery, panelOf(newFacet("l", "light", "check-boxes", "any")), "sold-out-stay")).toBe(
      "148 of 799 variants are sold out, and shoppers can’t filter them out.",
    );
  });

  it("all-of where most pairs find nothing", async () => {
    expect(await mended(nursery, panelOf(newFacet("b", "brand", "check-boxes", "all")), "all-of-dead-pairs")).toBe(
      "Brand needs all chosen options to match, but 15 of 15 pairs of its most common options have no products.",
    );
  });

  it("typed ends that leave products out, and a scale that one dear product stretches", async () => {
    const typed = panelOf(
      newFacet("p", "price", "slider", "range", { ends: "typed", min: 0, max: 1000, scale: "bent" }),
    );
    expect(await mended(twentyOne, typed, "typed-ends")).toBe(
      "Price: 1 product is outside the limits you typed; shoppers reach it only by leaving that end open.",
    );
    const far = panelOf(newFacet("p", "stock", "slider", "range", { ends: "typed", min: 0, max: 1000 }));
    expect(await mended(nursery, far, "typed-ends")).toMatch(
      /^Stock: you typed limits from 0 to 1000, but all values are from 0 to \d+\. \d\d% of the scale has no products\.$/,
    );
    const near = panelOf(newFacet("p", "stock", "slider", "range", { ends: "typed", min: 0, max: 210 }));
    const facts = await findFindings(new LocalFacts(nursery), near, emptySelection);
    expect(facts.filter(({ kind }) => kind === "typed-ends")).toEqual([]);
    expect(await mended(twentyOne, panelOf(newFacet("p", "price", "slider", "range")), "stretched-scale")).toBe(
      "Price: a few high values squeeze half of all values into the first 1% of the scale.",
    );
  });

  it("a list that fills the screen", async () => {
    const panel = panelOf(newFacet("b", "brand", "check-boxes", "any", { foldAfter: { wide: 0 } }));
    const measure = { rows: { b: 700 }, panel: 900, screen: 800, bars: 0, products: 200 };
    expect(await mended(nursery, panel, "too-high", emptySelection, { wide: measure })).toBe(
      "Brand is 700 px high on wide, 88% of the screen.",
    );
  });

  it("a share of the width that is too small for a word, on the bands where it is", async () => {
    const third = newFacet("f", "flower-colour", "check-boxes", "any", { share: { wide: "third" } });
    const panel = { ...panelOf(third), placement: { wide: "above" as const } };
    expect(await mended(nursery, panel, "squeezed")).toBe(
      "Flower colour has ⅓ of the width on slim, about 88 px, but “Burgundy” needs about 116 px.",
    );
    const stacked = newFacet("f", "flower-colour", "check-boxes", "any", { share: { wide: "third", slim: "full" } });
    const found = await findFindings(new LocalFacts(nursery), { ...panel, rows: [stacked] }, emptySelection);
    expect(found.filter(({ kind }) => kind === "squeezed")).toEqual([]);
  });

  it("a row above the products that is too high to stay in sight", async () => {
    const panel = {
      ...panelOf(newFacet("b", "brand", "dropdown", "any")),
      placement: { wide: "above" as const },
      behaviour: { sticky: { wide: true } },
    };
    const told = async (height: number) => {
      const wide = { rows: {}, panel: height, screen: 708, bars: 92, products: 400 };
      const found = await findFindings(new LocalFacts(nursery), panel, emptySelection, { measures: { wide } });
      return found.filter(({ kind }) => kind === "sticky-row").map(({ words }) => words);
    };
    expect(await told(228)).toEqual([]);
    expect(await told(236)).toEqual([
      "On wide the panel is 236 px high, which leaves 59% of the screen. It scrolls away, since a sticky row must leave 60%.",
    ]);
  });

  it("a phone with all of the panel above the products", async () => {
    const panel = {
      ...panelOf(newFacet("b", "brand", "check-boxes", "any")),
      placement: { wide: "left" as const, slim: "absent" as const },
    };
    const above = { ...panel, placement: { wide: "left" as const, slim: "above" as const } };
    expect(
      await mended(nursery, above, "far-products", emptySelection, {
        slim: { rows: {}, panel: 1800, screen: 844, bars: 0, products: 2110 },
      }),
    ).toBe("On a phone the first product is 2110 px down, 2.5 screens below the top.");
  });

  it("price ranges where all prices are one, which shoppers see nothing of", async () => {
    const csv = `product_id,title,price\n${[..."abcd"].map((name) => `${name},Thing ${name},5`).join("\n")}`;
    const index = new CatalogueIndex(readCatalogue(new TextEncoder().encode(csv)).catalogue);
    const panel = panelOf(newFacet("p", "price", "price-ranges", "range"));
    const found = await findFindings(new LocalFacts(index), panel, emptySelection);
    expect(found.filter(({ level }) => level === "error").map(({ words }) => words)).toEqual([
      "Price has the same value in all 4 products, so there are no ranges and shoppers see nothing.",
    ]);
  });

  it("an option that is most likely misspelt, with the merge that mends it", async () => {
    const rows = [
      ...Array(9).fill("Green"),
      "Gren",
      ...Array(9).fill("Gold"),
      "Bold",
      "Golden",
      ...Array(8).fill("Blue"),
    ];
    const csv = `product_id,title,colour\n${rows.map((colour, n) => `p${n},Thing ${n},${colour}`).join("\n")}`;
    const index = new CatalogueIndex(readCatalogue(new TextEncoder().encode(csv)).catalogue);
    expect(await mended(index, panelOf(newFacet("c", "colour", "check-boxes", "any")), "misspelt")).toBe(
      "colour: “Gren” with 1 product looks like a misspelling of “Green” with 9.",
    );
  });

  it("raw values, which are called what people would call them", async () => {
    const words = await mended(twentyOne, panelOf(newFacet("c", "care", "check-boxes", "any")), "raw-labels");
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

  it("more options than a shopper reads, with nothing to find one by", async () => {
    const panel = panelOf(newFacet("t", "title", "check-boxes", "any", { foldAfter: { wide: 0 } }));
    expect(await mended(twentyOne, panel, "many-options")).toBe(
      "title has 21 options and no search: too many to scan.".replace("title", "Title"),
    );
    const few = panelOf(newFacet("l", "light", "check-boxes", "any"));
    expect((await find(nursery, few)).map(({ kind }) => kind)).not.toContain("many-options");
  });

  it("months by name", async () => {
    const panel = panelOf(newFacet("m", "in-flower", "check-boxes", "any", { order: "name" }));
    expect(await mended(nursery, panel, "meaningless-order")).toBe(
      "In flower sorts months by name: April comes before August.",
    );
  });

  it("two facets that say the same, a slider that parts nothing, and products that are all called the same", async () => {
    const rows = Array.from(
      { length: 400 },
      (_, i) => `p${i},${i < 300 ? "Thing" : `Thing ${i}`},c${i % 4},k${i % 4},7`,
    );
    const index = new CatalogueIndex(
      readCatalogue(new TextEncoder().encode(`product_id,title,class,kind,weight\n${rows.join("\n")}\n`)).catalogue,
    );
    const twice = panelOf(newFacet("c", "class", "check-boxes", "any"), newFacet("k", "kind", "check-boxes", "any"));
    expect(await mended(index, twice, "same-question")).toMatch(/^kind repeats class: one predicts 9\d%/);
    const slider = panelOf(newFacet("w", "weight", "slider", "range"));
    expect(await mended(index, slider, "one-bar")).toBe(
      "weight: all 400 products fall into one histogram bar, so the slider can’t narrow them down.",
    );
    expect(await mended(index, twice, "same-titles")).toBe(
      "300 of 400 products are called “Thing”, so shoppers can’t tell them apart.",
    );
    const other = panelOf(newFacet("l", "light", "check-boxes", "any"), newFacet("b", "brand", "check-boxes", "any"));
    expect((await find(nursery, other)).map(({ kind }) => kind)).toEqual(["sold-out-stay"]);
  });

  it("texts that no shopper should read", async () => {
    const named = { ...newFacet("s", "size", "tiles", "any"), label: "leaf_size" };
    expect(await mended(twentyOne, panelOf(named), "placeholder-text")).toBe(
      "Shoppers see “leaf_size” as the title of a facet. It looks like a field name or a placeholder.",
    );
    const text = newPiece("text", "t");
    expect(await mended(twentyOne, panelOf(text), "placeholder-text")).toBe(
      "Shoppers see the placeholder text “A few words for shoppers.”.",
    );
    expect(["_", "id", "Unnamed: 0", "TODO", "field 3", "N/A", ""].every(isPlaceholder)).toBe(true);
    expect(["Size", "Idea", "Test tubes", "Todos Santos", "XL"].some(isPlaceholder)).toBe(false);
  });

  it("ends that stand the wrong way round", async () => {
    const panel = panelOf(
      newFacet("p", "price", "slider", "range", { ends: "typed", min: 5000, max: 0, scale: "bent" }),
    );
    expect(await mended(twentyOne, panel, "swapped-ends")).toBe(
      "Price: its limits are swapped, 5000 before 0. Should they be 0 to 5000?",
    );
  });

  it("tell their level, and those that need a browser's measures find nothing without", async () => {
    const panel = panelOf(
      newFacet("e", "empty", "check-boxes", "any"),
      newFacet("b", "size", "check-boxes", "any", { foldAfter: { wide: 0 } }),
    );
    const measured = findingKinds.filter(({ needs }) => needs === "measures").map(({ name }) => name);
    const found = await find(twentyOne, panel);
    expect(measured.length).toBeGreaterThan(1);
    expect(found.filter(({ kind }) => measured.includes(kind))).toEqual([]);
    expect(found.find(({ kind }) => kind === "no-values")?.level).toBe("error");
    expect(new Set(findingKinds.map(({ name }) => name)).size).toBe(findingKinds.length);
  });

  it("none, where nothing is wrong", async () => {
    const panel = panelOf(newFacet("l", "category", "tree", "tree"), newFacet("a", "availability", "switch", "any"));
    expect(await find(nursery, panel)).toEqual([]);
    expect(await find(nursery, emptyPanel("Empty"))).toEqual([]);
  });
});

import { describe, expect, it } from "vitest";
import { find, mended, nursery, panelOf, twentyOne } from "../../../tests/mended.ts";
import { readCatalogue } from "../catalogue/read.ts";
import { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import { allOptions } from "../panel/options.ts";
import { newFacet } from "../panel/panel.ts";
import type { FacetRow } from "../panel/panel-schema.ts";
import { newPiece } from "../panel/pieces.ts";
import { isPlaceholder } from "./placeholder-text.ts";
import { looksRaw, readable } from "./raw-labels.ts";

describe("findings about values", () => {
  it("a facet that no product states, or whose field is gone", async () => {
    expect(await mended(twentyOne, panelOf(newFacet("e", "empty", "check-boxes", "any")), "no-values")).toBe(
      "Empty: no product has a value for it, so shoppers see nothing.",
    );
    expect(await mended(twentyOne, panelOf(newFacet("x", "moon", "check-boxes", "any")), "no-values")).toBe(
      "moon: the catalogue doesn’t have this field, so shoppers see nothing.",
    );
  });

  it("of 21 products 9 are reached when 12 state nothing", async () => {
    expect(await mended(twentyOne, panelOf(newFacet("s", "size", "tiles", "any")), "low-reach")).toBe(
      "Only 9 of 21 products have a value for Size; the other 12 disappear once it is used.",
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
      "Size has settings for a value that no product has any more: “XL” (once 7).",
    );
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
      "Colour: “Gren” with 1 product looks like a misspelling of “Green” with 9.",
    );
  });

  it("raw values, which are called what people would call them", async () => {
    const words = await mended(twentyOne, panelOf(newFacet("c", "care", "check-boxes", "any")), "raw-labels");
    expect(words).toBe("Care shows shoppers 2 raw values, such as “pet_safe:0”.");
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
    expect(await mended(index, twice, "same-question")).toMatch(/^Kind repeats Class: one predicts 9\d%/);
    const slider = panelOf(newFacet("w", "weight", "slider", "range"));
    expect(await mended(index, slider, "one-bar")).toBe(
      "Weight: all 400 products fall into one histogram bar, so the slider can’t narrow them down.",
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
});

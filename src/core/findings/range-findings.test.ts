import { describe, expect, it } from "vitest";
import { mended, nursery, panelOf, twentyOne } from "../../../tests/mended.ts";
import { readCatalogue } from "../catalogue/read.ts";
import { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import { emptySelection } from "../engine/selection.ts";
import { newFacet } from "../panel/panel.ts";
import { LocalFacts } from "../profile/local-facts.ts";
import { findFindings } from "./findings.ts";

describe("findings about ranges", () => {
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

  it("price ranges where all prices are one, which shoppers see nothing of", async () => {
    const csv = `product_id,title,price\n${[..."abcd"].map((name) => `${name},Thing ${name},5`).join("\n")}`;
    const index = new CatalogueIndex(readCatalogue(new TextEncoder().encode(csv)).catalogue);
    const panel = panelOf(newFacet("p", "price", "price-ranges", "range"));
    const found = await findFindings(new LocalFacts(index), panel, emptySelection);
    expect(found.filter(({ level }) => level === "error").map(({ words }) => words)).toEqual([
      "Price has the same value in all 4 products, so there are no ranges and shoppers see nothing.",
    ]);
  });

  it("ends that stand the wrong way round", async () => {
    const panel = panelOf(
      newFacet("p", "price", "slider", "range", { ends: "typed", min: 5000, max: 0, scale: "bent" }),
    );
    expect(await mended(twentyOne, panel, "swapped-ends")).toBe(
      "Price: its limits are swapped, 5000 before 0. Should they be 0 to 5000?",
    );
  });
});

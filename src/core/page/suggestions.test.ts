import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { demoPages } from "../../../demo/pages.ts";
import { demoPanel } from "../../../demo/panel.ts";
import { readCatalogue } from "../catalogue/read.ts";
import { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import { LocalFacts } from "../profile/local-facts.ts";
import { suggestionsFor, suggestionsSchema } from "./suggestions.ts";

const facts = new LocalFacts(new CatalogueIndex(readCatalogue(readFileSync("demo/nursery.csv")).catalogue));
const offered = (asked: string) => suggestionsFor(facts, demoPages, [demoPanel], asked);

describe("what a search offers while it is typed", () => {
  it("is what its schema says, over any words", async () => {
    for (const asked of ["", "c", "clematis", "apr", "größe & 9", "zzzz"]) {
      const one = await offered(asked);
      expect(suggestionsSchema.validateSync(JSON.parse(JSON.stringify(one)), { strict: true })).toEqual(
        JSON.parse(JSON.stringify(one)),
      );
    }
    expect(await offered("  ")).toEqual({ products: [], pages: [], values: [], near: [] });
  });

  it("names pages, values that can be chosen, and the products that fit best", async () => {
    const gift = await offered("gift");
    expect(gift.pages.map(({ address }) => address)).toEqual(["/collections/gifts", "/tags/gift"]);
    const apricot = await offered("apri");
    expect(apricot.values).toEqual([{ address: "/?flower-colour=apricot", facet: "Flower colour", label: "Apricot" }]);
    const ivy = await offered("ivy");
    expect(ivy.pages[0]).toMatchObject({ kind: "category", name: "Ivy" });
    expect(ivy.products).toHaveLength(5);
    for (const { title } of ivy.products) expect(title.toLowerCase()).toContain("ivy");
  });

  it("offers near spellings only where nothing is found", async () => {
    expect((await offered("clematis")).near).toEqual([]);
    expect((await offered("clematsi")).near).toEqual(["clematis"]);
    expect((await offered("wistaria")).near).toEqual(["wisteria"]);
    expect((await offered("xqzwv")).near).toEqual([]);
  });
});

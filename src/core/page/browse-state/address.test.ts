import { readFileSync } from "node:fs";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoPanel } from "../../../../demo/panel.ts";
import { readCatalogue } from "../../catalogue/read.ts";
import { CatalogueIndex } from "../../engine/index/catalogue-index.ts";
import type { Selection } from "../../engine/question.ts";
import { engineFacets } from "../../panel/panel.ts";
import { fromAddress, otherParameters, toAddress } from "./address.ts";
import { type BrowseState, nextPlace, startPlace } from "./browse-state.ts";

const index = new CatalogueIndex(readCatalogue(readFileSync("demo/nursery.csv")).catalogue);
const fieldOf = (key: string) => index.field(key);
const facets = engineFacets(demoPanel, "wide");
const toggling = (field: string, option: string) => ({ do: "toggle", facet: { field, mode: "any" }, option }) as const;

describe("the address", () => {
  const place: fc.Arbitrary<BrowseState> = fc
    .record({
      light: fc.subarray(["full sun", "half shade", "shade"]),
      category: fc.subarray(["plants", "seeds > vegetables"]),
      min: fc.option(fc.integer({ min: 0, max: 90 }), { nil: undefined }),
      text: fc.constantFrom("", "rose & thorn", "größe"),
      sort: fc.constantFrom("", "price", "-rating,title"),
      page: fc.integer({ min: 1, max: 9 }),
    })
    .map(({ light, category, min, text, sort, page }) => {
      const choices: Record<string, Selection["choices"][string]> = {};
      if (category.length > 0) choices.category = { options: category };
      if (light.length > 0) choices.light = { options: light };
      if (min !== undefined) choices.price = { min, max: undefined };
      return { selection: { text, choices }, sort, page };
    });

  it("gives back any place", () => {
    fc.assert(
      fc.property(place, (one) => {
        expect(fromAddress(toAddress(one, fieldOf), facets, fieldOf)).toEqual(one);
      }),
    );
  });

  it("keeps the order in which fields were chosen, whatever the panel's", () => {
    const fields = ["light", "category", "price", "pet-safe"];
    fc.assert(
      fc.property(fc.shuffledSubarray(fields), (chosen) => {
        const choice = (key: string) => (key === "price" ? { min: 1, max: 9 } : { options: ["yes"] });
        const choices = Object.fromEntries(chosen.map((key) => [key, choice(key)]));
        const there = fromAddress(
          toAddress({ ...startPlace, selection: { text: "", choices } }, fieldOf),
          facets,
          fieldOf,
        );
        expect(Object.keys(there.selection.choices)).toEqual(chosen);
      }),
    );
  });

  it("leaves out what it does not understand", () => {
    const read = fromAddress(
      "?light=Half++SHADE&light=half+shade&brand=x&price.min=cheap&sort=none&page=-3&__proto__=x",
      facets,
      fieldOf,
    );
    expect(read).toEqual({
      selection: { text: "", choices: { light: { options: ["half shade"] } } },
      sort: "",
      page: 1,
    });
    expect(toAddress(startPlace, fieldOf)).toBe("");
  });

  it.each([
    ["4,36", 4.36],
    ["-4,5", -4.5],
    ["4.36", 4.36],
    // Thousands in one language and a decimal in another.
    ["1,500", undefined],
    ["1,2,3", undefined],
  ])("reads the number %s of a form that was sent without scripts as %s", (text, min) => {
    const { selection } = fromAddress(`?price.min=${encodeURIComponent(text)}`, facets, fieldOf);
    const choice = selection.choices.price;
    expect(choice && "min" in choice ? choice.min : undefined).toBe(min);
  });

  it("keeps all that it holds beside the place, and so does the plain form", () => {
    const present = "?panel=second&lang=de&light=shade&page=3&utm=x&price.min=4";
    const next = nextPlace(fromAddress(present, facets, fieldOf), toggling("light", "full sun"));
    expect(toAddress(next, fieldOf, present, facets)).toBe(
      "?panel=second&lang=de&utm=x&light=shade&light=full+sun&price.min=4",
    );
    expect(toAddress(startPlace, fieldOf, present, facets)).toBe("?panel=second&lang=de&utm=x");
    expect(otherParameters(present, facets, true).map(([name]) => name)).toEqual(["panel", "lang", "utm"]);
    expect(otherParameters("?q=vine&sort=price", facets, false)).toEqual([
      ["q", "vine"],
      ["sort", "price"],
    ]);
  });

  it("never breaks down, whatever stands in it", () => {
    fc.assert(fc.property(fc.string(), (text) => fromAddress(`?${text}`, facets, fieldOf).page >= 1));
  });
});

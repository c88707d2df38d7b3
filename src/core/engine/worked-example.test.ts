import { describe, expect, it } from "vitest";
import { readCatalogue } from "../catalogue/read.ts";
import { everything } from "./base.ts";
import { liveCounts, reachCount } from "./count.ts";
import { CatalogueIndex } from "./index/catalogue-index.ts";
import { Matcher } from "./matcher.ts";
import type { Choices, Facet } from "./question.ts";
import { liveRange, rangesOf } from "./range.ts";

// Source: the project's own definition of a match, whose worked example this is.
const csv = `product_id,sku,title,colour,size,stock,price
P1,a,One,black,large,3,10
P1,b,One,white,medium,2,12
P2,a,Two,black,medium,0,11
P3,,Three,black,,5,9
`;
const index = new CatalogueIndex(readCatalogue(new TextEncoder().encode(csv)).catalogue);
const page = everything(index);
const any: Facet[] = [
  { field: "colour", mode: "any" },
  { field: "size", mode: "any" },
  { field: "availability", mode: "any" },
  { field: "price", mode: "range" },
];
const all: Facet[] = [{ field: "colour", mode: "all" }, ...any.slice(1)];
const ids = (facets: Facet[], choices: Choices) =>
  Array.from(new Matcher(index, page, facets, choices).productIds(), (p) => index.catalogue.productIds[p]);
const counts = (facets: Facet[], choices: Choices, facet: Facet) =>
  Object.fromEntries(
    index
      .options(facet.field)
      .options.map(({ label }, o) => [label, liveCounts(new Matcher(index, page, facets, choices), facet)[o]]),
  );

describe("the worked example", () => {
  it("wants one variant for all variant-level choices", () => {
    expect(ids(any, { colour: { options: ["black"] }, size: { options: ["medium"] } })).toEqual(["P2"]);
  });

  it("judges availability on the matching variant", () => {
    const choices = {
      colour: { options: ["black"] },
      size: { options: ["medium"] },
      availability: { options: ["in stock"] },
    };
    expect(ids(any, choices)).toEqual([]);
  });

  it("takes any-of and all-of apart", () => {
    const both = { colour: { options: ["black", "white"] } };
    expect(ids(any, both)).toEqual(["P1", "P2", "P3"]);
    expect(ids(all, both)).toEqual(["P1"]);
    expect(ids(all, { ...both, size: { options: ["medium"] } })).toEqual([]);
  });

  it("counts what the shopper would get", () => {
    const choices = { colour: { options: ["black"] } };
    expect(counts(any, choices, any[1])).toEqual({ large: 1, medium: 1 });
    expect(counts(any, choices, any[0])).toEqual({ black: 3, white: 1 });
  });

  it("counts a product once a bin, however many of its variants are in it", () => {
    const bins = (edges: number[], choices: Choices = {}) =>
      liveRange(new Matcher(index, page, any, choices), any[3], edges).histogram?.counts;
    expect(bins([9, 11, 13])).toEqual([2, 2]);
    expect(bins([9, 13])).toEqual([3]);
    expect(bins([9, 11, 13], { size: { options: ["medium"] } })).toEqual([0, 2]);
  });

  it("parts ranges at limits in their order, however they were typed", () => {
    const ranges = rangesOf(new Matcher(index, page, any, {}), { ...any[3], ranges: { limits: [11, 9, 11, 10] } });
    expect(ranges).toEqual(rangesOf(new Matcher(index, page, any, {}), { ...any[3], ranges: { limits: [9, 10, 11] } }));
    expect(ranges).toHaveLength(4);
  });

  it("takes a range's ends from the variants that satisfy the other choices", () => {
    expect(liveRange(new Matcher(index, page, any, { size: { options: ["medium"] } }), any[3])).toMatchObject({
      min: 11,
      max: 12,
    });
    expect(liveRange(new Matcher(index, page, any, { size: { options: ["huge"] } }), any[3])).toMatchObject({
      min: null,
      max: null,
    });
  });

  it("reaches only the products that state the facet", () => {
    expect(reachCount(new Matcher(index, page, [], {}), any[1])).toBe(2);
    expect(reachCount(new Matcher(index, page, [], {}), any[0])).toBe(3);
  });
});

describe("reach of a shop where many state nothing", () => {
  it("is 9 of 21 when 12 state nothing (common practice, no source)", () => {
    const rows = Array.from({ length: 21 }, (_, i) => `p${i},Product ${i},${i < 9 ? "oak" : ""}`);
    const shop = new CatalogueIndex(
      readCatalogue(new TextEncoder().encode(["product_id,title,wood", ...rows].join("\n"))).catalogue,
    );
    expect(reachCount(new Matcher(shop, everything(shop), [], {}), { field: "wood", mode: "any" })).toBe(9);
    expect(shop.products).toBe(21);
  });
});

import { readFileSync } from "node:fs";
import { ticks } from "d3-array";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { carsCsv } from "../../../tests/open-data.ts";
import { roundEnds, roundStep } from "../catalogue/numbers/ticks.ts";
import { readCatalogue } from "../catalogue/read.ts";
import { checkDocument } from "../document/kind.ts";
import { everything } from "../engine/base.ts";
import { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import { Matcher } from "../engine/matcher.ts";
import { liveRange } from "../engine/range.ts";
import { panelKind } from "../panel/kind.ts";
import { facetRows } from "../panel/panel.ts";
import { firstPanel } from "../panel/suggest/first-panel.ts";
import { modeExample } from "./mode-example.ts";
import { profileField } from "./profile.ts";

const nursery = new CatalogueIndex(readCatalogue(readFileSync("demo/nursery.csv")).catalogue);
const cars = new CatalogueIndex(readCatalogue(new TextEncoder().encode(carsCsv)).catalogue);
const profile = (index: CatalogueIndex, key: string) => {
  const field = index.field(key);
  if (!field) throw new Error(key);
  return profileField(index, field);
};

describe("round steps", () => {
  // Source: d3-array (npm), a general-purpose library, whose ticks stand one step apart.
  it("are those of d3's ticks", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 1e6, noNaN: true }), fc.integer({ min: 3, max: 40 }), (span, parts) => {
        const [first, second] = ticks(0, span, parts);
        fc.pre(second !== undefined);
        expect(roundStep(span, parts)).toBeCloseTo(second - first, 6);
      }),
    );
  });

  it("move ends outwards and leave nothing out", () => {
    expect(roundEnds(2, 340, 5)).toEqual({ min: 0, max: 340 });
    expect(roundEnds(0.15, 0.31, 0.1)).toEqual({ min: 0.1, max: 0.4 });
  });
});

describe("histograms", () => {
  it("hold every product's values once a bin, between the true ends", () => {
    const { min, max, histogram } = liveRange(
      new Matcher(cars, everything(cars), [], {}),
      { field: "horsepower", mode: "range" },
      20,
    );
    // 46 and 230 horsepower, 400 of 406 cars: facts of the data set.
    expect([min, max]).toEqual([46, 230]);
    expect(histogram?.edges.slice(0, 3)).toEqual([40, 50, 60]);
    expect(histogram?.counts.reduce((sum, one) => sum + one)).toBe(400);
  });
});

describe("field profiles", () => {
  it("tell reach, kind, ends and clashing spellings", () => {
    expect(profile(cars, "horsepower")).toMatchObject({ reach: 400, outOf: 406, min: 46, max: 230, level: "product" });
    expect(profile(cars, "origin")).toMatchObject({ options: 3, samples: ["USA", "Japan", "Europe"], longest: 6 });
    expect(profile(nursery, "light")).toMatchObject({ options: 3, clashes: 1 });
    expect(profile(nursery, "category")).toMatchObject({ depth: 3 });
    expect(profile(nursery, "pot-size").level).toBe("variant");
  });
});

describe("the first panel", () => {
  it("is valid, starts with the category and leaves fields out that name products", () => {
    for (const index of [nursery, cars]) {
      const panel = firstPanel(index, "First panel");
      expect(checkDocument(panelKind, panel)).toEqual(panel);
      const fields = facetRows(panel).map(({ field }) => field);
      expect(fields.length).toBeGreaterThan(3);
      for (const naming of ["title", "sku", "product-id", "image", "description"]) expect(fields).not.toContain(naming);
    }
    expect(facetRows(firstPanel(nursery, "First panel"))[0]).toMatchObject({
      field: "category",
      mode: "tree",
      display: { wide: "tree" },
    });
    expect(facetRows(firstPanel(cars, "First panel")).find(({ field }) => field === "horsepower")).toMatchObject({
      mode: "range",
      display: { wide: "slider-inputs" },
    });
  });
});

describe("any-of against all-of", () => {
  it("is told for two options that some products state together", () => {
    const example = modeExample(nursery, { field: "in-flower" });
    expect(example?.options).toHaveLength(2);
    expect(example?.any).toBeGreaterThan(example?.one ?? 0);
    expect(example?.all).toBeGreaterThan(0);
    expect(example?.all).toBeLessThanOrEqual(example?.one ?? 0);
    expect(modeExample(nursery, { field: "product-id" })?.all).toBe(0);
  });
});

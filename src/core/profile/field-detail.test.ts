import { readFileSync } from "node:fs";
import { deviation, mean, quantile } from "d3-array";
import fc from "fast-check";
import Papa from "papaparse";
import { describe, expect, it } from "vitest";
import { describeNumbers } from "../catalogue/numbers/distribution.ts";
import { findUnits, parseMeasure } from "../catalogue/numbers/units.ts";
import { readCatalogue } from "../catalogue/read.ts";
import { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import { findClashes } from "./clashes.ts";
import { entropy, informationGain } from "./entropy.ts";
import { detailField } from "./field-detail.ts";

// Source: Quinlan (1986), Induction of Decision Trees, table 1: 14 mornings and whether play goes on.
const weather = `sunny hot high false N
sunny hot high true N
overcast hot high false P
rain mild high false P
rain cool normal false P
rain cool normal true N
overcast cool normal true P
sunny mild high false N
sunny cool normal false P
rain mild normal false P
sunny mild normal true P
overcast mild high true P
overcast hot normal false P
rain mild high true N`
  .split("\n")
  .map((line) => line.split(" "));
const column = (at: number) => weather.map((row) => row[at]);

describe("information gain", () => {
  it.each([
    ["outlook", 0, 0.246],
    ["temperature", 1, 0.029],
    ["humidity", 2, 0.151],
    ["wind", 3, 0.048],
  ])("of %s is that of the published table", (_name, at, bits) => {
    // The paper cuts after the third decimal (0.2467 is given as 0.246).
    expect(Math.abs(informationGain(column(at), column(4)) - bits)).toBeLessThan(0.001);
  });

  it("of a value that tells all is the whole entropy, of one that tells nothing is none", () => {
    expect(entropy([9, 5])).toBeCloseTo(0.94, 2);
    expect(informationGain(column(4), column(4))).toBeCloseTo(entropy([9, 5]), 12);
    expect(
      informationGain(
        column(0).map(() => "same"),
        column(4),
      ),
    ).toBeCloseTo(0, 12);
  });
});

describe("entropy", () => {
  it("is log2 of n for n equal values, and never more", () => {
    expect(entropy([1, 1, 1, 1, 1, 1, 1, 1])).toBe(3);
    expect(entropy([])).toBe(0);
    expect(entropy([0, 7])).toBe(0);
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 1000 }), { minLength: 1 }),
        (counts) => entropy(counts) <= Math.log2(counts.length) + 1e-9,
      ),
    );
  });
});

describe("distributions", () => {
  // Source: d3-array (npm), whose quantile is Hyndman and Fan's type 7.
  it("have d3's quartiles", () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { minLength: 1 }), (values) => {
        const { quartiles } = describeNumbers(values) ?? { quartiles: [] };
        [0.25, 0.5, 0.75].forEach((share, i) => {
          expect(quartiles[i]).toBeCloseTo(quantile(values, share) ?? Number.NaN, 6);
        });
      }),
    );
  });

  it("tell skew and outliers", () => {
    const prices = [4, 5, 5, 6, 6, 7, 8, 9, 340];
    const { skewness, outliers } = describeNumbers(prices) ?? { skewness: 0, outliers: [] };
    expect(outliers).toEqual([340]);
    // Source: the definition with population moments; d3's deviation is the sample's.
    const spread = (deviation(prices) ?? 0) * Math.sqrt((prices.length - 1) / prices.length);
    const centre = mean(prices) ?? 0;
    expect(skewness).toBeCloseTo(
      prices.reduce((sum, price) => sum + ((price - centre) / spread) ** 3, 0) / prices.length,
      9,
    );
    expect(describeNumbers([1, 2, 3])?.skewness).toBeCloseTo(0, 12);
    expect(describeNumbers([])).toBeUndefined();
    expect(describeNumbers([5, 5])?.skewness).toBe(0);
  });
});

// Common practice, no source.
describe("clashing values", () => {
  const find = (...labels: string[]) =>
    findClashes(labels.map((label, i) => ({ label, products: 10 - i }))).map(({ kind, values }) => [
      kind,
      ...values.map(({ label }) => label),
    ]);

  it("are found by accents, plural and near miss, the frequent one first", () => {
    expect(find("Crème", "Creme")).toEqual([["accents", "Crème", "Creme"]]);
    expect(find("Pot", "Pots", "Brush", "Brushes")).toEqual([
      ["plural", "Pot", "Pots"],
      ["plural", "Brush", "Brushes"],
    ]);
    expect(find("Terracotta", "Terracota")).toEqual([["near miss", "Terracotta", "Terracota"]]);
  });

  it("are not seen where values are really different", () => {
    expect(find("Red", "Bed", "9 cm pot", "5 cm pot", "Model 100", "Model 101", "Green", "Grey")).toEqual([]);
  });
});

describe("numbers with units", () => {
  it("are read with a point or a comma", () => {
    expect(parseMeasure("40 cm")).toEqual({ number: 40, unit: "cm" });
    expect(parseMeasure("1,5 l")).toEqual({ number: 1.5, unit: "l" });
    expect(parseMeasure("12V")).toEqual({ number: 12, unit: "v" });
    for (const text of ["cm", "40", "40 x 50 cm", "about 4 cm"]) expect(parseMeasure(text)).toBeUndefined();
  });

  it("are offered when most values are such", () => {
    expect(findUnits(["9 cm", "2 l", "5 l", "10 l", "20 l"])).toEqual({
      unit: "l",
      units: ["l", "cm"],
      matching: 5,
      outOf: 5,
      fractions: false,
      decimal: ".",
    });
    expect(findUnits(["9 cm", "large", "small"])).toBeUndefined();
  });
});

describe("a field in detail", () => {
  const csv = readFileSync("demo/nursery.csv", "utf8");
  const index = new CatalogueIndex(readCatalogue(new TextEncoder().encode(csv)).catalogue);
  const detail = (key: string) => {
    const field = index.field(key);
    if (!field) throw new Error(key);
    return detailField(index, field);
  };

  it("tells which products say nothing, how values were written, and what numbers do", () => {
    const light = detail("light");
    const rows = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true }).data;
    const stated = new Set(rows.filter((row) => row.Light !== "").map((row) => row.product_id));
    const all = [...new Set(rows.map((row) => row.product_id))];
    expect(light.silent).toBe(all.length - stated.size);
    expect(light.silentProducts.map(({ id }) => id)).toEqual(all.filter((id) => !stated.has(id)).slice(0, 50));
    expect(light.spellings).toEqual([{ label: "Half shade", written: ["Half shade", "half shade"] }]);
    expect(light.values.map(({ products }) => products)).toEqual(
      [...light.values.map(({ products }) => products)].sort((a, b) => b - a),
    );
    expect(detail("price").numbers?.distribution.max).toBe(340);
    expect(detail("price").numbers?.distribution.skewness).toBeGreaterThan(3);
    expect(detail("pot-size").units?.unit).toBe("l");
    expect(detail("title").singles).toBe(240);
  });
});

import crossfilter from "crossfilter2";
import itemsjs from "itemsjs";
import { describe, expect, it } from "vitest";
import { readCatalogue } from "../../src/core/catalogue/read.ts";
import { everything } from "../../src/core/engine/base.ts";
import { liveCounts } from "../../src/core/engine/count.ts";
import { CatalogueIndex } from "../../src/core/engine/index/catalogue-index.ts";
import { Matcher } from "../../src/core/engine/matcher.ts";
import type { Choices, Facet } from "../../src/core/engine/question.ts";
import { liveRange } from "../../src/core/engine/range.ts";
import { carsCsv, carRows as rows } from "../open-data.ts";

const index = new CatalogueIndex(readCatalogue(new TextEncoder().encode(carsCsv)).catalogue);
const page = everything(index);
const facets: Facet[] = [
  { field: "origin", mode: "any" },
  { field: "cylinders", mode: "any" },
  { field: "year", mode: "any" },
];
const choicesToTry: Choices[] = [
  {},
  { origin: { options: ["japan"] } },
  { origin: { options: ["japan", "europe"] }, cylinders: { options: ["4"] } },
  { cylinders: { options: ["6", "8"] }, year: { options: ["1970", "1975", "1982"] } },
  { origin: { options: ["usa"] }, cylinders: { options: ["4", "5"] }, year: { options: ["1982"] } },
  { origin: { options: ["europe"] }, cylinders: { options: ["8"] } },
];
const ours = (choices: Choices, facet: Facet) =>
  Object.fromEntries(
    index
      .options(facet.field)
      .options.map(({ id }, o) => [id, liveCounts(new Matcher(index, page, facets, choices), facet)[o]]),
  );

describe("counts over an open data set", () => {
  // Source: itemsjs, an independent faceted-search library (npm); its disjunctive facets leave their own choice out.
  it.each(choicesToTry)("are those of itemsjs for %j", (choices) => {
    const names = { origin: "Origin", cylinders: "Cylinders", year: "Year" } as const;
    const engine = itemsjs(
      rows.map((row) => ({ ...row, Origin: row.Origin.toLowerCase() })),
      {
        aggregations: Object.fromEntries(Object.values(names).map((name) => [name, { size: 100, conjunction: false }])),
      },
    );
    const filters = Object.fromEntries(
      Object.entries(choices).map(([key, choice]) => [
        names[key as keyof typeof names],
        "options" in choice ? choice.options : [],
      ]),
    );
    const result = engine.search({ filters, per_page: 1 });
    expect(new Matcher(index, page, facets, choices).productIds().length).toBe(result.pagination.total);
    for (const facet of facets) {
      const buckets = result.data.aggregations[names[facet.field as keyof typeof names]].buckets as {
        key: string;
        doc_count: number;
      }[];
      const theirs = new Map(buckets.map(({ key, doc_count }) => [key, doc_count]));
      const counted = ours(choices, facet);
      expect(Object.keys(counted).length).toBeGreaterThan(2);
      for (const [id, number] of Object.entries(counted)) expect([id, number]).toEqual([id, theirs.get(id) ?? 0]);
    }
  });

  // Source: crossfilter2, a multidimensional-filter library (npm); a group ignores its own dimension's filter.
  it.each(choicesToTry)("are those of crossfilter2 for %j", (choices) => {
    const cube = crossfilter(rows);
    const dimensions = {
      origin: cube.dimension((row) => row.Origin.toLowerCase()),
      cylinders: cube.dimension((row) => row.Cylinders),
      year: cube.dimension((row) => row.Year),
    };
    for (const [key, choice] of Object.entries(choices)) {
      const wanted = "options" in choice ? choice.options : [];
      dimensions[key as keyof typeof dimensions].filterFunction((value) => wanted.includes(String(value)));
    }
    for (const facet of facets) {
      const groups = dimensions[facet.field as keyof typeof dimensions].group().all();
      expect(ours(choices, facet)).toEqual(Object.fromEntries(groups.map(({ key, value }) => [key, value])));
    }
  });

  it("finds a range and its ends as crossfilter2 does", () => {
    const stated = rows.filter((row) => row.Horsepower !== "");
    const power = crossfilter(stated).dimension((row) => Number(row.Horsepower));
    const range: Facet = { field: "horsepower", mode: "range" };
    // Its ranges leave the upper end out; ours take it in, so the next larger number stands for it.
    power.filterRange([100, 150.000001]);
    const found = new Matcher(index, page, [range], { horsepower: { min: 100, max: 150 } }).productIds();
    expect([...found].map((p) => index.catalogue.productIds[p]).sort()).toEqual(
      power
        .top(1000)
        .map((row) => row.product_id)
        .sort(),
    );
    power.filterAll();
    expect(liveRange(new Matcher(index, page, [range], {}), range)).toMatchObject({
      min: Number(power.bottom(1)[0].Horsepower),
      max: Number(power.top(1)[0].Horsepower),
    });
  });
});

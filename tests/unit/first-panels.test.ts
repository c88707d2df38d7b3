import { readFileSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { headingUnit } from "../../src/core/catalogue/numbers/units.ts";
import { buildCatalogue, readTable } from "../../src/core/catalogue/read.ts";
import { shownName } from "../../src/core/catalogue/shown-name.ts";
import { suggestReading } from "../../src/core/catalogue/suggest-reading.ts";
import { checkDocument } from "../../src/core/document/kind.ts";
import { CatalogueIndex } from "../../src/core/engine/index/catalogue-index.ts";
import { panelKind } from "../../src/core/panel/kind.ts";
import { facetRows } from "../../src/core/panel/panel.ts";
import { firstPanel } from "../../src/core/panel/suggest/first-panel.ts";
import { likelihood } from "../../src/core/panel/suggest/likely.ts";
import { agreement, valueCodes } from "../../src/core/profile/agreement.ts";
import { answers } from "./first-panels.answers.ts";

/** A table as it comes, read as the tool guesses. */
function opened(file: string): CatalogueIndex {
  const table = readTable(readFileSync(join("node_modules", file)));
  return new CatalogueIndex(buildCatalogue(table, { reading: suggestReading(table) }).catalogue);
}

const tables = Object.entries(answers).flatMap(([half, list]) => list.map((one) => ({ half, ...one })));
const panels = tables.map(({ half, file, fields }) => {
  const index = opened(file);
  const rows = facetRows(firstPanel(index, "First panel"));
  const names = rows.map(({ field }) => index.field(field)?.name.toLowerCase());
  // A field is named without the unit of its heading.
  const shown = (name: string) => shownName(headingUnit(name)?.name ?? name).toLowerCase();
  const found = fields.filter((name) => names.includes(shown(name)) || names.includes(shownName(name).toLowerCase()));
  return { half, file, fields, rows, index, found };
});

describe("first panels of open tables", () => {
  it.each([
    ["looked at", 0.8],
    ["kept apart later", 0.8],
    ["new, looked at", 0.85],
    ["new, kept apart", 0.85],
  ])("have most of the fields that a designer would take: %s, a share of at least %d", (half, least) => {
    const own = panels.filter((one) => one.half === half);
    const [found, wanted] = [own.flatMap((one) => one.found), own.flatMap(({ fields }) => fields)];
    expect(found.length / wanted.length).toBeGreaterThanOrEqual(least);
  });

  it("have at least four of five over all tables, those included on which the first ranking found two of three", () => {
    const [found, wanted] = [panels.flatMap((one) => one.found), panels.flatMap(({ fields }) => fields)];
    expect(found.length / wanted.length).toBeGreaterThanOrEqual(0.8);
  });

  it.each(panels)("are documents that can be kept: $file", ({ index }) => {
    const panel = firstPanel(index, "First panel");
    expect(checkDocument(panelKind, panel)).toEqual(panel);
  });

  it.each(panels)("are short, with few sliders first and a way to find among hundreds: $file", ({ rows, index }) => {
    expect(rows.length).toBeLessThanOrEqual(7);
    expect(rows.slice(0, 5).filter(({ display }) => display.wide.startsWith("slider")).length).toBeLessThanOrEqual(
      rows.length <= 5 ? 5 : 3,
    );
    for (const { field, display, mode } of rows) {
      const { options } = index.options(field);
      if (mode !== "range" && options.length > 60) expect(display.wide).toBe("dropdown");
    }
  });
});

describe("what two fields say", () => {
  const index = opened("vega-datasets/data/movies.json");
  const said = (key: string) => {
    const field = index.field(key);
    if (!field) throw new Error(key);
    return valueCodes(index.catalogue, field);
  };

  it("is the same of a field and itself, little of two that have nothing to do with each other", () => {
    expect(agreement(said("major-genre"), said("major-genre"))).toBeCloseTo(1, 1);
    expect(agreement(said("us-gross"), said("worldwide-gross"))).toBeGreaterThan(0.4);
    expect(agreement(said("major-genre"), said("imdb-rating"))).toBeLessThan(0.15);
  });

  it("is told by what people choose by", () => {
    const of = (name: string) => likelihood({ role: "attribute", name });
    expect(of("Major Genre")).toBeGreaterThan(of("Displacement"));
    expect(of("Farbe")).toBeGreaterThan(of("Farbcode"));
    expect(of("IMDB_Votes")).toBeLessThan(of("IMDB Rating"));
    expect(of("productId")).toBeLessThan(0.1);
  });
});

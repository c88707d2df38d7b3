import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { buildCatalogue, readTable } from "../catalogue/read.ts";
import { suggestReading } from "../catalogue/suggest-reading.ts";
import { renamedFields } from "./renamed-fields.ts";

const csv = readFileSync("demo/nursery.csv", "utf8");
const table = (text: string) => readTable(new TextEncoder().encode(text));
const before = buildCatalogue(table(csv)).catalogue;
const withHeading = (from: string, to: string) => csv.replace(from, to);

describe("a heading that is another in a newer file", () => {
  it.each([
    ["Flower colour", "Blossom tone"],
    ["Mature height", "Height at ten years"],
    ["Pot size", "Container"],
  ])("%s is found again as %s, with its figures", (from, to) => {
    const after = buildCatalogue(table(withHeading(from, to)), { known: before.fields }).catalogue;
    const [found, ...others] = renamedFields(before, after);
    expect(others).toEqual([]);
    expect(found).toMatchObject({ from: { name: from }, to: { name: to } });
    expect(found?.same).toBe(found?.of);
    expect(found?.of).toBeGreaterThan(50);
  });

  it("is taken for nothing where the values say otherwise", () => {
    const rows = csv
      .split("\n")
      .map((line, at) =>
        at === 0 ? line.replace("Light", "Aisle") : line.replace(/Full sun|Half shade|Shade/g, `A${at % 7}`),
      );
    const after = buildCatalogue(table(rows.join("\n")), { known: before.fields }).catalogue;
    expect(renamedFields(before, after)).toEqual([]);
  });

  it("goes on as the field that it was, so that everything that names that field holds", () => {
    const newer = table(withHeading("Flower colour", "Blossom tone"));
    const reading = suggestReading(newer).map((column, at) =>
      newer.header[at] === "Blossom tone" ? { ...column, field: "flower-colour" } : column,
    );
    const { catalogue } = buildCatalogue(newer, { reading, known: before.fields });
    expect(catalogue.fields.find(({ key }) => key === "flower-colour")).toMatchObject({ name: "Flower colour" });
    expect(renamedFields(before, catalogue)).toEqual([]);
    expect(catalogue.columns.get("flower-colour")).toEqual(before.columns.get("flower-colour"));
  });
});

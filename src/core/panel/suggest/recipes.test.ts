import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { readCatalogue } from "../../catalogue/read.ts";
import { checkDocument } from "../../document/kind.ts";
import { CatalogueIndex } from "../../engine/index/catalogue-index.ts";
import { panelKind } from "../kind.ts";
import { facetRows } from "../panel.ts";
import { fillRecipes } from "./recipes.ts";

const open = (csv: string) => new CatalogueIndex(readCatalogue(new TextEncoder().encode(csv)).catalogue);

describe("recipes for new panels", () => {
  const filled = fillRecipes(open(readFileSync("demo/nursery.csv", "utf8")));
  const fieldsOf = (name: string) => {
    const panel = filled.find((one) => one.name === name)?.panel;
    return panel ? facetRows(panel).map(({ field }) => field) : [];
  };

  it("are filled with the shop's own fields, with the reason for each", () => {
    expect(filled.map(({ name }) => name)).toEqual(["best", "colour-size", "price-stock", "questions", "above"]);
    expect(fieldsOf("colour-size")).toEqual(["category", "flower-colour", "pot-size"]);
    expect(fieldsOf("price-stock")).toEqual(["price", "availability", "on-sale"]);
    expect(fieldsOf("questions")).toHaveLength(3);
    for (const { panel, reasons } of filled) {
      expect(reasons.map(({ field }) => field)).toEqual(facetRows(panel).map(({ field }) => field));
      for (const { reason } of reasons) expect(reason).toMatch(/one choice leaves \d+ on average/);
    }
  });

  it("are documents that can be kept", () => {
    for (const { panel } of filled) expect(checkDocument(panelKind, panel)).toEqual(panel);
  });

  it("are left out where the shop lacks what makes them", () => {
    const rows = Array.from({ length: 30 }, (_, n) => `p${n},Thing ${n},${n % 3 ? "oak" : "ash"}`);
    const names = fillRecipes(open(`product_id,title,wood\n${rows.join("\n")}\n`)).map(({ name }) => name);
    expect(names).toEqual(["best"]);
  });
});

import { describe, expect, it } from "vitest";
import { readCatalogue } from "../catalogue/read.ts";
import { countChoices, countVisits, guessChoiceColumns, guessColumns } from "./visits.ts";

const { catalogue } = readCatalogue(
  new TextEncoder().encode(
    "product_id,sku,title\nA-1,S1,Blue pot\nA-1,S2,Blue pot\nB/2,S3,Grüner Topf\nC-3,S4,C-3 case\n",
  ),
);

describe("real visits", () => {
  it("are found by ids, SKUs, titles and addresses, whatever the case, and counted by product", () => {
    const rows = [["a-1"], ["S2"], ["GRÜNER TOPF"], ["https://shop.example/products/B%2F2?ref=x#top"], ["/p/C-3/"]];
    expect(guessColumns(catalogue, ["path"], rows)).toEqual({ product: 0 });
    const { counts, used, unknown } = countVisits(catalogue, rows, { product: 0 });
    expect([...counts]).toEqual([
      ["A-1", 2],
      ["B/2", 2],
      ["C-3", 1],
    ]);
    expect([used, unknown]).toEqual([5, 0]);
  });

  it("take a column of whole numbers that is called like a count for one, and only that", () => {
    const rows = [
      ["2026-11-01", "7", "A-1"],
      ["2026-11-01", "0", "C-3"],
    ];
    expect(guessColumns(catalogue, ["day", "Views", "item"], rows)).toEqual({ product: 2, count: 1 });
    expect(guessColumns(catalogue, ["day", "seconds", "item"], rows)).toEqual({ product: 2 });
    expect([...countVisits(catalogue, rows, { product: 2, count: 1 }).counts]).toEqual([
      ["A-1", 7],
      ["C-3", 0],
    ]);
  });

  it("say what could not be used, with examples, and keep nothing else of it", () => {
    const rows = [
      ["A-1", "ann@example.org"],
      ["gone", "bob@example.org"],
      ["%E0%A4%A", "x"],
      ["A-1", "y"],
    ];
    const visits = countVisits(catalogue, rows, { product: 0 });
    expect([visits.used, visits.unknown, visits.examples]).toEqual([2, 2, ["gone", "%E0%A4%A"]]);
    expect(JSON.stringify([...visits.counts])).not.toContain("example.org");
    expect(guessColumns(catalogue, ["mail"], [["ann@example.org"]])).toBeUndefined();
  });
});

describe("real choices", () => {
  const shop = readCatalogue(
    new TextEncoder().encode("product_id,title,Flower colour,price\np1,a,red,1\np2,b,blue,2\n"),
  ).catalogue;

  it("say what shoppers know: the share of visits, where visits can be told apart", () => {
    const header = ["session", "facet", "value"];
    const rows = [
      ["s1", "Flower colour", "red"],
      ["s1", "flower-colour", "blue"],
      ["s1", "price", "1-2"],
      ["s2", "Flower colour", "red"],
      ["s3", "nothing", "x"],
      ["s4", "nothing", "x"],
    ];
    const columns = guessChoiceColumns(shop, header, rows);
    expect(columns).toEqual({ field: 1, visit: 0 });
    if (!columns) return;
    const { knows, used, unknown, examples } = countChoices(shop, rows, columns);
    expect(knows).toEqual({ "flower-colour": 0.5, price: 0.25 });
    expect([used, unknown, examples]).toEqual([4, 2, ["nothing", "nothing"]]);
  });

  it("are taken in proportion where they are counted only, and never for nobody or everybody", () => {
    const rows = [
      ["Flower colour", "1000"],
      ["Price", "1"],
    ];
    expect(guessChoiceColumns(shop, ["facet", "count"], rows)).toEqual({ field: 0, count: 1 });
    expect(countChoices(shop, rows, { field: 0, count: 1 }).knows).toEqual({ "flower-colour": 0.8, price: 0.02 });
    expect(guessChoiceColumns(shop, ["facet"], [["x"], ["y"], ["price"]])).toBeUndefined();
  });
});

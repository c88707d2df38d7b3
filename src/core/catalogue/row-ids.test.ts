import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { airportsCsv, carsCsv } from "../../../tests/open-data.ts";
import { joined, joinOffer } from "./join-rows.ts";
import { buildCatalogue, readTable } from "./read.ts";
import { rowIds } from "./row-ids.ts";
import { suggestReading } from "./suggest-reading.ts";

const tableOf = (csv: string) => readTable(new TextEncoder().encode(csv));
const idsOf = (csv: string) => {
  const table = tableOf(csv);
  const { ids, by } = rowIds(table, suggestReading(table));
  return { ids, by: by.map((at) => table.header[at]) };
};

describe("rows without product ids", () => {
  it("are known by a column of marks that are all different", () => {
    expect(idsOf(airportsCsv).by).toEqual(["iata"]);
    expect(idsOf("name,ean\nBean,1\nPea,2\n")).toEqual({ ids: ["1", "2"], by: ["ean"] });
    // A number that happens to differ everywhere is no mark.
    expect(idsOf("name,weight\nBroad bean,1\nPea green,2\n").by).toEqual(["name"]);
  });

  it("are known by their titles, and those of one title by what parts them as well", () => {
    const cars = carsCsv.replaceAll(/^c\d+,/gm, "").replace("product_id,", "");
    const { ids, by } = idsOf(cars);
    expect(by[0]).toBe("title");
    expect(by.length).toBeGreaterThan(1);
    expect(ids).toContain("chevrolet chevelle malibu, 1970");
    expect(new Set(ids).size).toBe(406);
  });

  it("are known by all that they say where nothing names them", () => {
    expect(idsOf("a,b\n1,2\n1,3\n1,2\n")).toEqual({ ids: ["1 · 2", "1 · 3", "1 · 2 (2)"], by: [] });
  });

  it("are known by a column that is different everywhere before they are known by all of it", () => {
    expect(idsOf("kind,slot,price\npot,north wall,5\npot,south wall,6\npot,gate,7\n")).toEqual({
      ids: ["north wall", "south wall", "gate"],
      by: ["slot"],
    });
    // Prices change from file to file.
    expect(idsOf("kind,price\npot,5\npot,6\npot,7\n").by).toEqual([]);
  });

  it("never share a name, even where one is called like another with a count", () => {
    const { ids } = idsOf("title,price\nA,1\nA,1\nA (2),1\nA,1\nB,2\nC,3\nD,4\n");
    expect(ids).toEqual(["A", "A (3)", "A (2)", "A (4)", "B", "C", "D"]);
  });

  it("keep their names in a newer file, wherever they stand and whatever comes between", () => {
    const cell = fc.stringMatching(/^[a-z]{1,6}$/);
    fc.assert(
      fc.property(fc.uniqueArray(cell, { minLength: 3, maxLength: 20 }), cell, fc.nat(20), (names, more, at) => {
        fc.pre(!names.includes(more));
        const csv = (list: readonly string[]) => `name,price\n${list.map((name) => `${name} rose,5`).join("\n")}\n`;
        const before = idsOf(csv(names)).ids;
        const later = [...names].reverse();
        later.splice(at % names.length, 0, more);
        expect(
          idsOf(csv(later))
            .ids.filter((id) => !id.startsWith(`${more} rose`))
            .sort(),
        ).toEqual([...before].sort());
      }),
    );
  });
});

describe("rows that are variants", () => {
  const shirts = tableOf(`code,name,brand,size,price
A1,Harbour shirt,Wick,S,20
A2,Harbour shirt,Wick,M,20
A3,Harbour shirt,Wick,L,22
B1,Meadow shirt,Moss,S,30
B2,Meadow shirt,Moss,M,30
C1,Tide scarf,Wick,,12
`);

  it("are offered to be joined, with the numbers of either choice", () => {
    const reading = suggestReading(shirts);
    expect(joinOffer(shirts, reading)).toEqual({ column: 1, rows: 6, products: 3, several: 2, differing: [3, 4] });
    const { catalogue } = buildCatalogue(shirts, { reading: joined(reading, { column: 1 }) });
    expect(catalogue.productIds).toEqual(["Harbour shirt", "Meadow shirt", "Tide scarf"]);
    expect([...catalogue.variantStart]).toEqual([0, 3, 5, 6]);
    expect(catalogue.fields.find(({ role }) => role === "sku")).toBeDefined();
    // Once they are joined there is nothing to offer.
    expect(joinOffer(shirts, joined(reading, { column: 1 }))).toBeUndefined();
  });

  const numbered = (parent: (product: number) => string) =>
    tableOf(
      `parent,number,name,size,colour\n${Array.from({ length: 12 }, (_, p) => ["S", "M"].map((size, v) => `${parent(p)},N${p}-${v},Shirt ${p},${size},${v + p}`).join("\n")).join("\n")}\n`,
    );

  it("are offered to be joined by an article number that they share, beside one of their own", () => {
    const table = numbered((p) => `A${100 + p}`);
    const reading = suggestReading(table).map((one, at) => ({
      ...one,
      as: at === 1 ? ("product_id" as const) : one.as,
    }));
    expect(joinOffer(table, reading)).toMatchObject({
      column: 0,
      rows: 24,
      products: 12,
      several: 12,
      differing: [3, 4],
    });
    const { catalogue } = buildCatalogue(table, { reading: joined(reading, { column: 0 }) });
    expect(catalogue.productIds).toHaveLength(12);
    expect(catalogue.fields.map(({ role }) => role)).toContain("sku");
    expect(joinOffer(table, joined(reading, { column: 0 }))).toBeUndefined();
  });

  it.each([
    ["weights", (p: number) => `${450 + p}g`],
    ["decimals", (p: number) => `${p}.5`],
    ["one for two titles", (p: number) => `A${p >> 1}`],
    ["words", (p: number) => `Line ${p}`],
  ])("are not taken for article numbers: %s", (_name, parent) => {
    const table = numbered(parent);
    expect(joinOffer(table, suggestReading(table))?.column).not.toBe(0);
  });

  it("are none where rows of one name differ in most, or names hardly recur", () => {
    // Models of one name are other cars each year. Source of the data: see tests/open-data.ts.
    const cars = tableOf(carsCsv);
    expect(joinOffer(cars, suggestReading(cars))).toBeUndefined();
    const airports = tableOf(airportsCsv);
    expect(joinOffer(airports, suggestReading(airports))).toBeUndefined();
  });
});

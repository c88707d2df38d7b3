import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import { firstValue, valuesOf } from "./catalogue.ts";
import { readCsv } from "./csv.ts";
import { writtenDay } from "./days.ts";
import { plainNumber } from "./numbers/plain-number.ts";
import { problemText } from "./problem.ts";
import { buildCatalogue, readCatalogue, readTable } from "./read.ts";
import { columnReading } from "./reading-schema.ts";
import { suggestReading } from "./suggest-reading.ts";
import { unreadableColumns } from "./unreadable-column.ts";
import { writeCsv } from "./write-csv.ts";

const bytes = (text: string) => new TextEncoder().encode(text);
const read = (text: string) => readCatalogue(bytes(text));

describe("how columns are written", () => {
  it("is guessed from the cells: a decimal comma, the order of days, what parts several values", () => {
    const table = readCsv(
      [
        "product_id;title;price;dispatch;us date;tags;note;size",
        "a;A;1.234,50;31.03.2026;03/31/2026;new, red;one, two;S|M",
        "b;B;8,00;01.04.2026;04/01/2026;red, old;three, four;M",
        "c;C;9,5;02.04.2026;04/02/2026;new, old;five, six;L",
      ].join("\n"),
    );
    expect(suggestReading(table)).toEqual([
      { as: "product_id" },
      { as: "title" },
      { as: "price", decimal: "," },
      { as: "attribute", dates: "dmy" },
      { as: "attribute", dates: "mdy" },
      { as: "tags", separator: "," },
      { as: "attribute" },
      { as: "attribute" },
    ]);
    const { catalogue } = buildCatalogue(table, { reading: suggestReading(table) });
    const said = (key: string) => [0, 1, 2].map((variant) => valuesOf(catalogue, key, variant).join("|"));
    expect(said("price")).toEqual(["1234.50", "8.00", "9.5"]);
    expect(said("dispatch")).toEqual(["2026-03-31", "2026-04-01", "2026-04-02"]);
    expect(said("us-date")).toEqual(said("dispatch"));
    expect(said("tags")).toEqual(["new|red", "red|old", "new|old"]);
    expect(catalogue.fields.find(({ key }) => key === "dispatch")?.kind).toBe("date");
  });

  // Source: CLDR through Intl, which writes the numbers that are read back here.
  it("takes back numbers as a locale writes them", () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1e9, max: 1e9, noNaN: true }),
        fc.constantFrom(["en", "."] as const, ["de", ","] as const, ["fr", ","] as const),
        (value, [locale, mark]) => {
          const written = new Intl.NumberFormat(locale, { maximumFractionDigits: 2 }).format(value);
          expect(Number(plainNumber(written.replace("\u2212", "-"), mark))).toBeCloseTo(Number(value.toFixed(2)), 2);
        },
      ),
    );
  });

  it("leaves alone what is no such number or day", () => {
    expect(["12 cm", "1,2,3", "x"].map((text) => plainNumber(text, ","))).toEqual(["12 cm", "1,2,3", "x"]);
    expect(["2026-03-31", "next week"].map((text) => writtenDay(text, "dmy"))).toEqual(["2026-03-31", undefined]);
  });

  it("can be told a kind, and then says what does not fit it", () => {
    const table = readCsv("product_id,title,height,day\na,A,12,2026-01-01\nb,B,tall,soon\n");
    const { catalogue, problems } = buildCatalogue(table, {
      reading: [
        { as: "product_id" },
        { as: "title" },
        { as: "attribute", kind: "number" },
        { as: "attribute", kind: "date" },
      ],
    });
    expect(catalogue.fields.map(({ kind }) => kind)).toEqual(["text", "text", "number", "date"]);
    expect(problems.map(problemText)).toEqual([
      expect.stringMatching(/^Row 3, column "height" \("tall"\): This is not a number/),
      expect.stringMatching(/^Row 3, column "day" \("soon"\): This is not a date/),
    ]);
  });
});

describe("reading a catalogue", () => {
  it("gathers rows that share an id, wherever they stand", () => {
    const { catalogue } = read("product_id,title,size\np1,One,S\np2,Two,M\np1,One,L\n");
    expect(catalogue.productIds).toEqual(["p1", "p2"]);
    expect([...catalogue.variantStart]).toEqual([0, 2, 3]);
    expect([0, 1, 2].map((variant) => firstValue(catalogue, "size", variant))).toEqual(["S", "L", "M"]);
  });

  it("computes availability and sale by variant, and states nothing where there is no figure", () => {
    const { catalogue } = read("product_id,title,stock,price,list_price\na,A,3,8,10\nb,B,0,8,\nc,C,,,10\n");
    const values = (key: string) => [0, 1, 2].map((variant) => firstValue(catalogue, key, variant));
    expect(values("availability")).toEqual(["in stock", "out of stock", undefined]);
    expect(values("on-sale")).toEqual(["yes", "no", undefined]);
  });

  it("takes a number that is not finite, or too large to be counted with, for none", () => {
    const { catalogue, problems } = read(
      `product_id,title,price\na,A,1e400\nb,B,-1e400\nc,C,1${"0".repeat(20)}\nd,D,9007199254740991\n`,
    );
    expect([...new CatalogueIndex(catalogue).numbers("price").values]).toEqual([9007199254740991]);
    expect(problems.map(({ row, column }) => [row, column])).toEqual([
      [2, "price"],
      [3, "price"],
      [4, "price"],
    ]);
  });

  it("leaves out rows that cannot be used and says which", () => {
    const { catalogue, problems } = read("product_id,title,price\na,A,1\n,B,2\nc,C\nd,D,cheap\n");
    expect(catalogue.productIds).toEqual(["a", "d"]);
    expect(problems.map(({ row }) => row)).toEqual([3, 4, 5]);
    expect(problemText(problems[2])).toMatch(/^Row 5, column "price" \("cheap"\): This is not a number/);
  });

  it("names the row of the first byte that is not UTF-8", () => {
    const text = bytes("product_id,title\na,A\nb,caf");
    expect(() => readCatalogue(new Uint8Array([...text, 0xe9, 0x0a, 0xff]))).toThrow(/Row 3: The text is not UTF-8/);
  });

  it("never breaks down on any JSON at all", () => {
    const product = fc.record({
      "@type": fc.constant("Product"),
      sku: fc.anything(),
      offers: fc.anything(),
      additionalProperty: fc.anything(),
    });
    fc.assert(
      fc.property(fc.oneof(fc.jsonValue(), product, fc.array(product)), (value) => {
        try {
          readCatalogue(bytes(JSON.stringify(value) ?? "[]"));
        } catch (error) {
          expect((error as Error).name).toBe("CatalogueError");
        }
      }),
    );
  });

  it("never breaks down on any bytes at all", () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 200 }), (noise) => {
        try {
          readCatalogue(new Uint8Array([...bytes("product_id,title\n"), ...noise]));
        } catch (error) {
          expect((error as Error).name).toBe("CatalogueError");
        }
      }),
    );
  });
});

describe("readings", () => {
  it("may say that a cell is one value", () => {
    expect(columnReading.validateSync({ as: "attribute", separator: "" })).toEqual({ as: "attribute", separator: "" });
    expect(() => columnReading.validateSync({ as: "attribute", separator: "x" })).toThrow();
  });

  it("take many numbers with units for numbers in the most frequent one, and few for options", () => {
    const csv = (count: number) =>
      `product_id,height\n${Array.from({ length: count }, (_, n) => `p${n},${n % 2 ? `${n} cm` : `${n / 100} m`}`).join("\n")}\n`;
    const read = (text: string) => {
      const table = readTable(new TextEncoder().encode(text));
      return buildCatalogue(table, { reading: suggestReading(table) });
    };
    const { catalogue, problems } = read(csv(41));
    expect(catalogue.fields.find(({ key }) => key === "height")).toMatchObject({ kind: "number", unit: "m" });
    expect(valuesOf(catalogue, "height", 5)).toEqual(["0.05"]);
    expect(problems).toEqual([]);
    // Few measures of one unit are options as they are; units that differ are converted.
    expect(read(csv(6)).catalogue.fields.find(({ key }) => key === "height")?.kind).toBe("number");
    const even = "product_id,height\na,9 cm\nb,12 cm\nc,9 cm\n";
    expect(read(even).catalogue.fields.find(({ key }) => key === "height")?.kind).toBe("text");
    // With their units out and in again they are what they were.
    expect(read(writeCsv(catalogue, true)).catalogue.columns.get("height")).toEqual(catalogue.columns.get("height"));
    expect(writeCsv(catalogue)).not.toContain(" m");
  });

  it("tell a column of which less than half can be read", () => {
    const table = readTable(new TextEncoder().encode("product_id,size\na,1\nb,two\nc,three\nd,\n"));
    const { problems } = buildCatalogue(table, {
      reading: [{ as: "product_id" }, { as: "attribute", kind: "number" }],
    });
    expect(unreadableColumns(table, problems)).toEqual([{ at: 1, stated: 3, read: 1 }]);
    const half = readTable(new TextEncoder().encode("product_id,size\na,1\nb,two\n"));
    expect(
      unreadableColumns(half, buildCatalogue(half, { reading: [{ as: "product_id" }, { as: "price" }] }).problems),
    ).toEqual([]);
  });
});

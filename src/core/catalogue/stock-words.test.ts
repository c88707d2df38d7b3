import { describe, expect, it } from "vitest";
import { firstValue } from "./catalogue.ts";
import { readCatalogue, readTable } from "./read.ts";
import { availabilityOf } from "./stock-words.ts";
import { suggestReading } from "./suggest-reading.ts";

// Source of the schema.org names: https://schema.org/ItemAvailability; the others: common practice, no source.
describe("words of stock", () => {
  it.each([
    ...[
      "12",
      "0.5",
      "in stock",
      "In Stock",
      "in_stock",
      "INSTOCK",
      "instock",
      "https://schema.org/InStock",
      "yes",
      "1",
    ],
    ...[
      "http://schema.org/LimitedAvailability",
      "Auf Lager",
      "vorrätig",
      "En stock",
      "disponible",
      "Op voorraad",
      "ja",
    ],
    ...["disponibile", "en existencia"],
  ])("%s is in stock", (text) => expect(availabilityOf(text)).toBe("in stock"));

  it.each([
    ...[
      "0",
      "-3",
      "out of stock",
      "outofstock",
      "Out-of-stock",
      "sold out",
      "SoldOut",
      "https://schema.org/SoldOut",
      "no",
    ],
    ...[
      "schema.org/Discontinued",
      "ausverkauft",
      "nicht auf Lager",
      "épuisé",
      "rupture de stock",
      "agotado",
      "esaurito",
    ],
    ...["niet op voorraad", "uitverkocht"],
  ])("%s is out of stock", (text) => expect(availabilityOf(text)).toBe("out of stock"));

  it.each([
    "",
    "soon",
    "https://schema.org/PreOrder",
    "BackOrder",
    "ask us",
    "InStoreOnly",
    "3 weeks",
    "x".repeat(1000),
  ])("%s claims nothing", (text) => expect(availabilityOf(text)).toBeUndefined());
});

const read = (csv: string) => {
  const bytes = new TextEncoder().encode(csv);
  const reading = suggestReading(readTable(bytes));
  return { reading, ...readCatalogue(bytes, { reading }) };
};
const availability = (csv: string) => {
  const { catalogue, problems } = read(csv);
  const field = catalogue.fields.find(({ role }) => role === "availability");
  return {
    values: catalogue.productIds.map(
      (_, p) => field && firstValue(catalogue, field.key, catalogue.variantStart[p] ?? 0),
    ),
    problems: problems.map(({ row }) => row),
  };
};

describe("a column of stock", () => {
  it("holds numbers and words as they come, and what is not known is reported and claims nothing", () => {
    const csv = "product_id,title,stock\na,A,3\nb,B,outofstock\nc,C,\nd,D,In stock\ne,E,ask us\nf,F,0\n";
    expect(availability(csv)).toEqual({
      values: ["in stock", "out of stock", undefined, "in stock", undefined, "out of stock"],
      problems: [6],
    });
  });

  it.each([
    ["Availability", "in stock", "out of stock"],
    ["stock status", "instock", "outofstock"],
    ["Verfügbarkeit", "auf Lager", "ausverkauft"],
    ["Disponibilité", "en stock", "épuisé"],
    ["Beschikbaarheid", "op voorraad", "uitverkocht"],
    ["Anything", "In Stock", "Sold Out"],
  ])("is known by its words under the heading “%s”", (heading, yes, no) => {
    expect(availability(`Name,${heading}\nRose,${yes}\nOak,${no}\nAsh,${yes}\n`).values).toEqual([
      "in stock",
      "out of stock",
      "in stock",
    ]);
  });

  it("is not one that speaks of something else", () => {
    const { catalogue, reading } = read("Name,Availability\nRose,March\nOak,April to May\nAsh,all year\n");
    expect(reading[1]?.as).toBe("attribute");
    expect(catalogue.fields.some(({ role }) => role === "availability")).toBe(false);
    // Yes and no alone say nothing of stock.
    expect(read("Name,Fragrant\nRose,yes\nOak,no\n").reading[1]?.as).toBe("attribute");
  });
});

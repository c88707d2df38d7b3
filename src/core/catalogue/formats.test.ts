import { readFileSync } from "node:fs";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { shops } from "../../../tests/random-shop.ts";
import { type Catalogue, firstValue } from "./catalogue.ts";
import { writeJsonLd } from "./json-ld.ts";
import { readCatalogue } from "./read.ts";
import { writeCsv } from "./write-csv.ts";

const read = (text: string) => readCatalogue(new TextEncoder().encode(text));
const nursery = readCatalogue(readFileSync("demo/nursery.csv")).catalogue;

/** The content of a catalogue, apart from the order of its fields and its dictionaries. */
function said(catalogue: Catalogue) {
  const variants = Array.from(catalogue.productIds, (id, p) => [
    id,
    catalogue.variantStart[p + 1] - catalogue.variantStart[p],
  ]);
  const fields = catalogue.fields
    .filter(({ role, key }) => role !== "product_id" && (catalogue.columns.get(key)?.codes.length ?? 0) > 0)
    .map(({ key, kind, role, name }) => {
      const column = catalogue.columns.get(key);
      const cells = Array.from({ length: (column?.starts.length ?? 1) - 1 }, (_, v) =>
        Array.from(
          column?.codes.subarray(column.starts[v], column.starts[v + 1]) ?? [],
          (code) => column?.spellings[code],
        ),
      );
      return { kind, role, name: role === "attribute" ? name : "", cells };
    })
    .sort((a, b) => (a.role + a.name < b.role + b.name ? -1 : 1));
  return { variants, fields };
}

describe("writing a catalogue and reading it back", () => {
  it("gives the same catalogue as CSV", () => {
    expect(said(read(writeCsv(nursery)).catalogue)).toEqual(said(nursery));
    fc.assert(
      fc.property(shops, (catalogue) => {
        expect(said(read(writeCsv(catalogue)).catalogue)).toEqual(said(catalogue));
      }),
    );
  });

  it("gives the same catalogue as JSON-LD", () => {
    const back = (catalogue: Catalogue) => said(read(JSON.stringify(writeJsonLd(catalogue, "EUR"))).catalogue);
    expect(back(nursery)).toEqual(said(nursery));
    fc.assert(
      fc.property(shops, (catalogue) => {
        expect(back(catalogue)).toEqual(said(catalogue));
      }),
    );
  });
});

describe("schema.org products", () => {
  // Source: schema.org, the properties' own definitions; the example is made up in their shape.
  const graph = {
    "@context": "https://schema.org",
    "@graph": [
      { "@type": "Organization", name: "Not a product" },
      {
        "@type": "ProductGroup",
        productGroupID: "g1",
        name: "Garden chair",
        brand: { "@type": "Brand", name: "Wickwillow" },
        material: "Willow",
        aggregateRating: { "@type": "AggregateRating", ratingValue: 4.5, reviewCount: 12 },
        hasVariant: [
          {
            "@type": "Product",
            sku: "g1-s",
            size: "small",
            offers: { "@type": "Offer", price: 40, availability: "https://schema.org/OutOfStock" },
          },
          {
            "@type": "Product",
            sku: "g1-l",
            size: "large",
            color: ["Green", "White"],
            offers: [{ "@type": "Offer", price: "55.50", inventoryLevel: { value: 3 } }],
          },
        ],
      },
      {
        "@type": ["Thing", "http://schema.org/Product"],
        sku: "p2",
        name: "Twine",
        image: ["/a.png", "/b.png"],
        offers: {
          "@type": "AggregateOffer",
          lowPrice: 3,
          priceSpecification: { priceType: "https://schema.org/ListPrice", price: 4 },
          availability: "InStock",
        },
        additionalProperty: [
          { "@type": "PropertyValue", name: "Length", value: 100 },
          { "@type": "PropertyValue", name: "Use", value: "Tying" },
          { "@type": "PropertyValue", name: "Use", value: "Hanging" },
        ],
      },
    ],
  };
  const { catalogue, problems } = read(JSON.stringify(graph));
  const column = (key: string) => [0, 1, 2].map((variant) => firstValue(catalogue, key, variant));

  it("become products and variants, which take over what their group states", () => {
    expect(problems).toEqual([]);
    expect(catalogue.productIds).toEqual(["g1", "p2"]);
    expect([...catalogue.variantStart]).toEqual([0, 2, 3]);
    expect(column("title")).toEqual(["Garden chair", "Garden chair", "Twine"]);
    expect(column("brand")).toEqual(["Wickwillow", "Wickwillow", undefined]);
    expect(column("rating")).toEqual(["4.5", "4.5", undefined]);
    expect(column("size")).toEqual(["small", "large", undefined]);
    expect(column("price")).toEqual(["40", "55.50", "3"]);
    expect(column("availability")).toEqual(["out of stock", "in stock", "in stock"]);
    expect(column("on-sale")).toEqual(["no", "no", "yes"]);
    expect(column("image")).toEqual([undefined, undefined, "/a.png"]);
    expect(catalogue.columns.get("use")?.spellings).toEqual(["Tying", "Hanging"]);
    expect(catalogue.fields.find(({ key }) => key === "length")?.kind).toBe("number");
  });

  it("without anything to tell them apart are a product each, under a number", () => {
    const { catalogue: numbered } = read(
      '[{"@type":"Product","name":"Nameless"},{"@type":"Product","name":"Nameless","color":"red"}]',
    );
    expect(numbered.productIds).toHaveLength(2);
    expect(new Set(numbered.productIds).size).toBe(2);
    expect(firstValue(numbered, "title", 1)).toBe("Nameless");
  });
});

describe("plain JSON", () => {
  it("is a list of objects, or one object a line", () => {
    const list =
      '[{"product_id":"a","title":"A","size":["S","M"]},{"product_id":"b","title":"B","organic":true,"note":null}]';
    const lines =
      '{"product_id":"a","title":"A","size":["S","M"]}\n\n{"product_id":"b","title":"B","organic":true,"note":null}\n';
    for (const text of [list, lines]) {
      const { catalogue } = read(text);
      expect(catalogue.productIds).toEqual(["a", "b"]);
      expect(catalogue.columns.get("size")?.spellings).toEqual(["S", "M"]);
      expect(catalogue.fields.find(({ key }) => key === "organic")?.kind).toBe("yes-no");
    }
  });

  it("that is broken is an error with its line", () => {
    expect(() => read('{"product_id":"a"}\n{"product_id":\n')).toThrow(/Row 2: This line is not valid JSON/);
    expect(() => read('[{"product_id":"a"]')).toThrow(/not valid JSON/);
    expect(() => read('["a"]')).toThrow(/Row 2: This is not an object/);
    expect(() => read("[]")).toThrow(/There are no products/);
  });

  it("never breaks the reader down, whatever it holds", () => {
    fc.assert(
      fc.property(fc.json(), (text) => {
        try {
          read(`[${text}]`);
        } catch (error) {
          expect((error as Error).name).toBe("CatalogueError");
        }
      }),
      { numRuns: 300 },
    );
  });
});

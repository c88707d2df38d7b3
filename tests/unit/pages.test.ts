import fc from "fast-check";
import Database from "libsql";
import Papa from "papaparse";
import { describe, expect, it } from "vitest";
import { firstValue } from "../../src/core/catalogue/catalogue.ts";
import { readCatalogue } from "../../src/core/catalogue/read.ts";
import { countsOf } from "../../src/core/engine/engine.ts";
import { CatalogueIndex } from "../../src/core/engine/index/catalogue-index.ts";
import { LocalEngine } from "../../src/core/engine/local-engine.ts";
import type { Choices, Clause, Facet, Selection } from "../../src/core/engine/question.ts";
import { without } from "../../src/core/engine/selection.ts";
import { carRows } from "../open-data.ts";
import { questions, shops, standing } from "../random-shop.ts";
import { Reference } from "../reference.ts";

const runs = { numRuns: 300 };
const selecting = (choices: Choices): Selection => ({ text: "", choices });

describe("a page's standing conditions against the definition written out", () => {
  it("leave the same products, with and without choices, and count the same for every option", () => {
    fc.assert(
      fc.property(shops, questions, standing, (catalogue, { facets, choices }, within) => {
        const engine = new LocalEngine(new CatalogueIndex(catalogue));
        const reference = new Reference(catalogue);
        const answer = engine.ask(countsOf(facets, selecting(choices), within));
        expect(answer.total).toBe(reference.matching(facets, choices, within).length);
        expect(answer.outOf).toBe(reference.matching(facets, {}, within).length);
        for (const facet of facets.filter(({ mode }) => mode !== "range")) {
          const { options, counts } = answer.facets[facet.field];
          options.forEach(({ id }, o) => {
            const given = choices[facet.field];
            const present = facet.mode === "all" && given && "options" in given ? given.options : [];
            const then = { ...choices, [facet.field]: { options: [...new Set([...present, id])] } };
            expect(counts.live[o]).toBe(reference.matching(facets, then, within).length);
            const alone = { [facet.field]: { options: [id] } };
            expect(counts.steady[o]).toBe(reference.matching(facets, alone, within).length);
          });
        }
      }),
      runs,
    );
  });

  it("give every facet the reach of the products that some option of it finds", () => {
    fc.assert(
      fc.property(shops, questions, standing, (catalogue, { facets }, within) => {
        const engine = new LocalEngine(new CatalogueIndex(catalogue));
        const reference = new Reference(catalogue);
        const { facets: found } = engine.ask(countsOf(facets, selecting({}), within));
        for (const facet of facets.filter(({ mode }) => mode !== "range")) {
          const { options, reach } = found[facet.field];
          const some = new Set(
            options.flatMap(({ id }) => reference.matching([facet], { [facet.field]: { options: [id] } }, within)),
          );
          expect(reach).toBe(some.size);
        }
      }),
      runs,
    );
  });

  it("decide with the choices which variants a card shows, and by which a page is sorted", () => {
    fc.assert(
      fc.property(shops, questions, standing, fc.boolean(), (catalogue, { facets, choices }, within, down) => {
        const engine = new LocalEngine(new CatalogueIndex(catalogue));
        const reference = new Reference(catalogue);
        const question = { ...countsOf(facets, selecting(choices), within), sort: down ? "-price" : "price", size: 50 };
        const { products } = engine.ask(question);
        const pricesOf = (product: number) =>
          reference
            .matchingVariants(product, facets, choices, within)
            .flatMap((variant) => Number(firstValue(catalogue, "price", variant) ?? Number.NaN))
            .filter((price) => !Number.isNaN(price));
        for (const card of products) {
          const prices = pricesOf(catalogue.productIds.indexOf(card.id));
          expect(card.price).toBe(prices.length === 0 ? undefined : Math.min(...prices));
          expect(card.from).toBe(new Set(prices).size > 1);
        }
        const keys = products
          .map(({ id }) => pricesOf(catalogue.productIds.indexOf(id)))
          .map((prices) => (prices.length === 0 ? undefined : down ? -Math.max(...prices) : Math.min(...prices)));
        const stated = keys.filter((key) => key !== undefined);
        expect(stated).toEqual([...stated].sort((a, b) => a - b));
        // Products that state nothing come last either way.
        expect(keys.slice(stated.length).every((key) => key === undefined)).toBe(true);
      }),
      runs,
    );
  });

  it("say, where nothing is found, what each choice taken back would find, or each pair when no single one helps", () => {
    let [single, pairs] = [0, 0];
    fc.assert(
      fc.property(shops, questions, standing, (catalogue, { facets, choices }, within) => {
        const engine = new LocalEngine(new CatalogueIndex(catalogue));
        const reference = new Reference(catalogue);
        const selection = selecting(choices);
        const { total, takeBacks } = engine.ask({ ...countsOf(facets, selection, within), mends: true });
        if (total > 0) {
          expect(takeBacks).toBeUndefined();
          return;
        }
        const told = takeBacks ?? [];
        for (const { parts, total: found } of told) {
          const rest = parts.reduce(without, selection);
          expect(found).toBe(reference.matching(facets, rest.choices, within).length);
          expect(found).toBeGreaterThan(0);
        }
        expect(told.map((one) => one.total)).toEqual(told.map((one) => one.total).sort((a, b) => b - a));
        if (told.some(({ parts }) => parts.length === 1)) single++;
        if (told.some(({ parts }) => parts.length === 2)) {
          pairs++;
          // No single choice helps: leaving any one field out finds nothing.
          for (const field of Object.keys(choices)) {
            const { [field]: _left, ...rest } = choices;
            expect(reference.matching(facets, rest, within)).toEqual([]);
          }
        }
      }),
      { numRuns: 600 },
    );
    expect(Math.min(single, pairs)).toBeGreaterThan(5);
  });
});

// A make is a product here, and each of its cars a variant. Source of the cars: see tests/open-data.ts; of the counts: SQLite.
describe("pages over an open data set against SQL", () => {
  const rows = carRows.map((car) => ({ ...car, product_id: car.title.split(" ")[0], sku: car.product_id }));
  const makes = [...new Set(rows.map((row) => row.product_id))].flatMap((make) =>
    rows.filter((row) => row.product_id === make),
  );
  const csv = Papa.unparse(makes.map((row) => ({ ...row, title: row.product_id })));
  const engine = new LocalEngine(new CatalogueIndex(readCatalogue(new TextEncoder().encode(csv)).catalogue));
  const sql = new Database(":memory:");
  sql.exec("create table car(make, origin, cylinders, year, horsepower real, mpg real)");
  const insert = sql.prepare("insert into car values (?, ?, ?, ?, ?, ?)");
  const number = (text: string) => (text === "" ? null : Number(text));
  for (const row of makes)
    insert.run([
      row.product_id,
      row.Origin.toLowerCase(),
      row.Cylinders,
      row.Year,
      number(row.Horsepower),
      number(row["Miles per gallon"]),
    ]);
  const count = (where: string) =>
    (sql.prepare(`select count(distinct make) as n from car where ${where}`).get() as { n: number }).n;

  const facets: Facet[] = [
    { field: "year", mode: "any" },
    { field: "cylinders", mode: "any" },
    { field: "horsepower", mode: "range" },
  ];
  const pages: [within: Clause[], where: string][] = [
    [[], "true"],
    [[[{ field: "horsepower", min: 90, max: 120 }]], "horsepower between 90 and 120"],
    [
      [[{ field: "cylinders", options: ["6", "8"] }], [{ field: "year", options: ["1970", "1971", "1976"] }]],
      "cylinders in ('6','8') and year in ('1970','1971','1976')",
    ],
    [
      [
        [
          { field: "horsepower", max: 60 },
          { field: "cylinders", options: ["8"] },
        ],
      ],
      "(horsepower <= 60 or cylinders = '8')",
    ],
  ];
  const chosen: [choices: Choices, where: string][] = [
    [{}, "true"],
    [{ year: { options: ["1976", "1982"] } }, "year in ('1976','1982')"],
    [
      { cylinders: { options: ["4"] }, horsepower: { min: 70, max: 95 } },
      "cylinders = '4' and horsepower between 70 and 95",
    ],
  ];
  const cases = pages.flatMap(([within, page]) => chosen.map(([choices, where]) => ({ within, page, choices, where })));

  it.each(cases)("finds and counts what SQL does: $page, $where", ({ within, page, choices, where }) => {
    const answer = engine.ask(countsOf(facets, selecting(choices), within));
    expect(answer.total).toBe(count(`${page} and ${where}`));
    expect(answer.outOf).toBe(count(page));
    const { year: _year, ...others } = choices;
    const rest = chosen.find(([one]) => JSON.stringify(one) === JSON.stringify(others))?.[1] ?? "true";
    const { options, counts } = answer.facets.year;
    for (const [o, { id }] of options.entries())
      expect([id, counts.live[o]]).toEqual([id, count(`${page} and ${rest} and year = '${id}'`)]);
  });

  it("sorts by the matching variants' least horsepower, or by their greatest when falling", () => {
    const [, [, page]] = [pages[0], pages[2]];
    const within = pages[2][0];
    for (const [sort, of, order] of [
      ["horsepower", "min", "asc"],
      ["-horsepower", "max", "desc"],
    ]) {
      const { products } = engine.ask({ ...countsOf(facets, selecting({}), within), sort, size: 100 });
      const theirs = sql
        .prepare(
          `select make from (select make, ${of}(horsepower) as h, min(rowid) as r from car where ${page} group by make) order by h is null, h ${order}, r`,
        )
        .all() as { make: string }[];
      // A make stands in the catalogue where its first car does, matching or not, so equals are compared as sets of power.
      const power = (make: string) =>
        (
          sql.prepare(`select ${of}(horsepower) as h from car where make = ? and ${page}`).get(make) as {
            h: number | null;
          }
        ).h;
      expect(products.map(({ id }) => power(id))).toEqual(theirs.map(({ make }) => power(make)));
    }
  });

  it("says what taking back each choice finds", () => {
    const choices: Choices = { year: { options: ["1982"] }, cylinders: { options: ["8"] }, horsepower: { max: 60 } };
    const { total, takeBacks } = engine.ask({ ...countsOf(facets, selecting(choices)), mends: true });
    expect(total).toBe(count("year = '1982' and cylinders = '8' and horsepower <= 60"));
    const found = {
      year: count("cylinders = '8' and horsepower <= 60"),
      cylinders: count("year = '1982' and horsepower <= 60"),
      horsepower: count("year = '1982' and cylinders = '8'"),
    };
    expect(Object.fromEntries((takeBacks ?? []).map(({ parts, total: n }) => [parts[0].field, n]))).toEqual(
      Object.fromEntries(Object.entries(found).filter(([, n]) => n > 0)),
    );
  });
});

// Source: the project's own definition of a match, whose worked example this is.
describe("the worked example on a page that asks for stock", () => {
  const csv = `product_id,sku,title,colour,size,stock,price
P1,a,One,black,large,3,10
P1,b,One,white,medium,2,12
P2,a,Two,black,medium,0,11
P3,,Three,black,,5,9
`;
  const engine = new LocalEngine(new CatalogueIndex(readCatalogue(new TextEncoder().encode(csv)).catalogue));
  const within: Clause[] = [[{ field: "availability", options: ["in stock"] }]];
  const facets: Facet[] = [
    { field: "colour", mode: "any" },
    { field: "size", mode: "any" },
  ];
  const ask = (choices: Choices) => engine.ask({ ...countsOf(facets, selecting(choices), within), size: 9 });
  const ids = (choices: Choices) => ask(choices).products.map(({ id }) => id);

  it("is P1 and P3; medium is P1; black and medium is nothing", () => {
    expect(ids({})).toEqual(["P1", "P3"]);
    expect(ids({ size: { options: ["medium"] } })).toEqual(["P1"]);
    expect(ids({ size: { options: ["medium"] }, colour: { options: ["black"] } })).toEqual([]);
  });

  it("with medium chosen counts black 0 and white 1, and size reaches 1 of 2", () => {
    const { facets: found, outOf } = ask({ size: { options: ["medium"] } });
    expect(found.colour.options.map(({ id }, o) => [id, found.colour.counts.live[o]])).toEqual([
      ["black", 0],
      ["white", 1],
    ]);
    expect([found.size.reach, outOf]).toEqual([1, 2]);
  });

  it("shows the matching variant's price and links to it", () => {
    expect(ask({ size: { options: ["medium"] } }).products[0]).toMatchObject({ id: "P1", price: 12, variant: 1 });
    expect(ask({}).products[0]).toMatchObject({ price: 10, from: true });
    expect(ask({}).products[0].variant).toBeUndefined();
  });
});

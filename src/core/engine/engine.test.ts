import { readFileSync } from "node:fs";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { questions, shops, standing } from "../../../tests/random-shop.ts";
import { Reference } from "../../../tests/reference.ts";
import { firstValue } from "../catalogue/catalogue.ts";
import { readCatalogue } from "../catalogue/read.ts";
import { type WireAnswer, wireAnswer } from "./answer.ts";
import { everything } from "./base.ts";
import { facetName } from "./engine.ts";
import { CatalogueIndex } from "./index/catalogue-index.ts";
import { LocalEngine } from "./local-engine.ts";
import { Matcher } from "./matcher.ts";
import { sortProducts } from "./order.ts";
import { type Facet, type Question, type WireQuestion, wireQuestion } from "./question.ts";
import { rangeCounts } from "./range.ts";
import { jsonAnswer, RemoteEngine } from "./remote-engine.ts";
import { standardSorts } from "./sort-keys.ts";

const nursery = new CatalogueIndex(readCatalogue(readFileSync("demo/nursery.csv")).catalogue);
const question = (facets: Facet[], choices: Question["selection"]["choices"] = {}): Question => ({
  within: [],
  facets,
  selection: { text: "", choices },
  sort: "",
  from: 0,
  size: 3,
});

describe("an engine that has answered before", () => {
  it("answers each question of a visit as a new one does", () => {
    const visit = fc.array(fc.tuple(questions, fc.constantFrom("", "", "p1", "calm")), { minLength: 2, maxLength: 8 });
    fc.assert(
      fc.property(shops, visit, standing, (catalogue, steps, within) => {
        const index = new CatalogueIndex(catalogue);
        const engine = new LocalEngine(index);
        // The facets stay, as on a page, and the choices change by one facet at a time, or by all.
        const [{ facets }] = steps[0];
        const choices: Question["selection"]["choices"] = {};
        for (const [step, text] of steps)
          for (const { field } of [...facets, { field: "" }]) {
            if (step.choices[field]) choices[field] = step.choices[field];
            else delete choices[field];
            const asked = { ...question(facets, { ...choices }), within, selection: { choices: { ...choices }, text } };
            expect(JSON.stringify(engine.ask(asked), plain)).toBe(
              JSON.stringify(new LocalEngine(index).ask(asked), plain),
            );
          }
      }),
      { numRuns: 150 },
    );
  });
});

describe("an engine elsewhere", () => {
  it("answers as the one here does, over JSON as well", async () => {
    await fc.assert(
      fc.asyncProperty(shops, questions, standing, async (catalogue, { facets, choices }, within) => {
        const local = new LocalEngine(new CatalogueIndex(catalogue));
        const remote = new RemoteEngine(async (asked: WireQuestion) => {
          // The one schema of both sides accepts everything that is sent, unchanged.
          const wire = wireQuestion.validateSync(JSON.parse(JSON.stringify(asked)), { strict: true });
          const has = new Set(wire.has);
          const answer: unknown = JSON.parse(jsonAnswer(local.answer(wire, (name) => has.has(name))));
          return wireAnswer.validateSync(answer, { strict: true });
        });
        // With and without choices, on two pages: what does not change on one is not taken for the other's.
        for (const chosen of [{}, choices])
          for (const page of [[], within]) {
            const asked: Question = {
              ...question(facets, chosen),
              within: page,
              show: { fields: ["colour"], variants: true },
              mends: true,
              sort: "price",
            };
            expect(JSON.parse(JSON.stringify(await remote.ask(asked), plain))).toEqual(
              JSON.parse(JSON.stringify(local.ask(asked), plain)),
            );
          }
      }),
      { numRuns: 100 },
    );
  });

  it("counts price ranges and stars too, by every rule that a panel can ask for", async () => {
    const local = new LocalEngine(nursery);
    const remote = new RemoteEngine(async (asked) => {
      const wire = wireQuestion.validateSync(JSON.parse(JSON.stringify(asked)), { strict: true });
      return wireAnswer.validateSync(JSON.parse(jsonAnswer(local.answer(wire, () => false))), { strict: true });
    });
    for (const ranges of [
      { by: "products" as const, parts: 5 },
      { by: "width" as const, parts: 4 },
      { limits: [5, 10, 20] },
      { from: [4, 3, 2, 1] },
    ]) {
      const field = "from" in ranges ? "rating" : "price";
      const asked = question([{ field, mode: "range", ranges }]);
      const [here, there] = [local.ask(asked).facets[field], (await remote.ask(asked)).facets[field]];
      expect(there?.ranges).toEqual(here?.ranges);
      expect(there?.ranges.length).toBeGreaterThan(1);
      expect(Array.from(there?.counts.live ?? [])).toEqual(Array.from(here?.counts.live ?? []));
    }
    const odd = {
      ...question([{ field: "price", mode: "range" }]),
      has: [],
      facets: [{ field: "price", mode: "range", bands: {} }],
    };
    expect(() => wireQuestion.validateSync(odd, { strict: true })).toThrow(/unspecified keys: bands/);
  });

  it("is sent what does not change only once", async () => {
    const local = new LocalEngine(nursery);
    const sent: WireAnswer[] = [];
    const remote = new RemoteEngine(async (asked) => {
      sent.push(local.answer(asked, (name) => asked.has.includes(name)));
      return sent[sent.length - 1];
    });
    const light: Facet = { field: "light", mode: "any" };
    await remote.ask(question([light]));
    await remote.ask(question([light, { field: "brand", mode: "any" }], { light: { options: ["shade"] } }));
    expect(
      sent.map(({ facets }) => Object.entries(facets).map(([key, { steady }]) => [key, steady !== undefined])),
    ).toEqual([
      [["light", true]],
      [
        ["light", false],
        ["brand", true],
      ],
    ]);
    expect(facetName(light)).not.toBe(facetName({ ...light, mode: "all" }));
  });
});

const plain = (_key: string, value: unknown) => (ArrayBuffer.isView(value) ? Array.from(value as Uint32Array) : value);

describe("values that are one option", () => {
  it("count as the any-of of them, whatever else is chosen", () => {
    fc.assert(
      fc.property(shops, questions, (catalogue, { facets, choices }) => {
        const index = new CatalogueIndex(catalogue);
        const { colour: _colour, ...others } = choices;
        const merged: Facet = {
          field: "colour",
          mode: "any",
          merges: [{ label: "Not red", values: ["black", "white"] }],
        };
        const rest = facets.filter(({ field }) => field !== "colour");
        const answer = new LocalEngine(index).ask(question([merged, ...rest], others));
        const { options, counts } = answer.facets.colour;
        const at = options.findIndex(({ id }) => id === "not red");
        const both = new Reference(catalogue).matching([{ field: "colour", mode: "any" }, ...rest], {
          ...others,
          colour: { options: ["black", "white"] },
        });
        expect(at < 0 ? 0 : counts.live[at]).toBe(both.length);
        expect(options.some(({ id }) => id === "black")).toBe(false);
        const chosen = new LocalEngine(index).ask(
          question([merged, ...rest], { ...others, colour: { options: ["not red"] } }),
        );
        expect(chosen.total).toBe(at < 0 ? 0 : both.length);
      }),
    );
  });
});

describe("ranges of a number line", () => {
  it("count what choosing each would find", () => {
    const ranges = [{ max: 5 }, { min: 5, max: 10 }, { min: 10 }];
    fc.assert(
      fc.property(shops, questions, (catalogue, { facets, choices }) => {
        const index = new CatalogueIndex(catalogue);
        const price: Facet = { field: "price", mode: "range" };
        const counts = rangeCounts(new Matcher(index, everything(index), facets, choices), price, ranges);
        ranges.forEach((range, b) => {
          expect(counts[b]).toBe(new Reference(catalogue).matching(facets, { ...choices, price: range }).length);
        });
      }),
    );
  });
});

describe("orders", () => {
  const all = Uint32Array.from({ length: nursery.products }, (_, p) => p);
  const values = (sort: string, key: string) =>
    Array.from(sortProducts(nursery, all, sort), (p) =>
      firstValue(nursery.catalogue, key, nursery.catalogue.variantStart[p]),
    );

  it("go by several fields, rising and falling, and by name as readers do", () => {
    const brands = values("brand,-rating", "brand");
    const known = brands.filter((brand) => brand !== undefined);
    expect(known).toEqual([...known].sort(new Intl.Collator("en", { numeric: true, sensitivity: "base" }).compare));
    // Products without a value for the field come last.
    expect(brands.slice(0, known.length)).toEqual(known);
    const ratings = values("brand,-rating", "rating");
    const first = ratings
      .slice(0, brands.filter((brand) => brand === brands[0]).length)
      .map((text) => Number(text ?? Number.NaN));
    const stated = first.filter((rating) => !Number.isNaN(rating));
    expect(stated).toEqual([...stated].sort((a, b) => b - a));
    expect(first.slice(0, stated.length)).toEqual(stated);
  });

  it("leave the catalogue's own where nothing or nothing known is asked", () => {
    expect([...sortProducts(nursery, all, "")]).toEqual([...all]);
    expect([...sortProducts(nursery, all, "none,-nothing")]).toEqual([...all]);
    expect(standardSorts(nursery.catalogue.fields).map(({ sort }) => sort)).toEqual([
      "",
      "price",
      "-price",
      "-published",
      "-rating",
      "title",
    ]);
  });
});

import { readFileSync } from "node:fs";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { questions, shops, standing } from "../../../tests/random-shop.ts";
import { readCatalogue } from "../catalogue/read.ts";
import type { DisplayName } from "../displays/displays.ts";
import { countsOf } from "../engine/engine.ts";
import { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import { LocalEngine } from "../engine/local-engine.ts";
import type { Choice, Facet, Mode } from "../engine/question.ts";
import { reachesOf } from "../findings/reach.ts";
import { allOptions, isShown } from "../panel/options.ts";
import { emptyPanel, engineFacets, newFacet, rulesOf } from "../panel/panel.ts";
import type { FacetRow, OptionRules } from "../panel/panel-schema.ts";
import { LocalFacts } from "../profile/local-facts.ts";
import { withSetting } from "../settings/settings.ts";
import { leftOut, waysOfReach } from "./of-facet.ts";
import { recountProducts as recount, recountOptions } from "./recount.ts";

const { catalogue: nursery } = readCatalogue(readFileSync("demo/nursery.csv"));
const engine = new LocalEngine(new CatalogueIndex(nursery));

/** How many products the engine finds. */
const told = (facets: Facet[], choices: Record<string, Choice>, text = "", within = [[]].slice(1)) =>
  engine.ask({ within, facets, selection: { text, choices }, sort: "", from: 0, size: 0 }).total;

describe("a number that is counted again", () => {
  it("is what the engine says, for random shops, pages and choices", () => {
    fc.assert(
      fc.property(shops, questions, standing, (catalogue, { facets, choices }, within) => {
        const local = new LocalEngine(new CatalogueIndex(catalogue));
        const asked = { within, facets, selection: { text: "", choices }, sort: "", from: 0, size: 500 };
        const { total, products } = local.ask(asked);
        const found = recount(catalogue, { within, facets, text: "", ways: [choices] });
        expect(found).toHaveLength(total);
        expect(found.map(({ id }) => id)).toEqual(products.map(({ id }) => id));
      }),
      { numRuns: 300 },
    );
  });

  it.each(["clematis", "blue cle", "winter jas", "no such thing", "Évergreen rose"])(
    "finds the words of a search as the engine does: %s",
    (text) => expect(recount(nursery, { within: [], facets: [], text, ways: [{}] })).toHaveLength(told([], {}, text)),
  );

  it("takes values that are merged for one, and a category for all below it", () => {
    const merges = [{ label: "Cool", values: ["blue", "violet"] }];
    const facet: Facet = { field: "flower-colour", mode: "any", merges };
    const choices = { "flower-colour": { options: ["cool"] } };
    const found = recount(nursery, { within: [], facets: [facet], text: "", ways: [choices] });
    expect(found).toHaveLength(told([facet], choices));
    expect(found.length).toBeGreaterThan(1);
  });

  it("counts a product once, however many ways find it", () => {
    const facet: Facet = { field: "price", mode: "range" };
    const ways = [{ price: { max: 20 } }, { price: { below: 10 } }, { price: { min: 15, max: 20 } }];
    const found = recount(nursery, { within: [], facets: [facet], text: "", ways });
    expect(found).toHaveLength(told([facet], { price: { max: 20 } }));
  });

  it("names the options that find nothing, as the engine counts them, for random shops and choices", () => {
    let none = 0;
    fc.assert(
      fc.property(shops, questions, standing, (catalogue, { facets, choices }, within) => {
        const local = new LocalEngine(new CatalogueIndex(catalogue));
        const answer = local.ask({ within, facets, selection: { text: "", choices }, sort: "", from: 0, size: 0 });
        const offers = facets.flatMap((facet) => {
          const found = answer.facets[facet.field];
          return found && facet.mode !== "range" ? [{ title: facet.field, facet, options: found.options }] : [];
        });
        const told = offers.flatMap(({ title, options }) =>
          options.flatMap(({ id }, o) => (answer.facets[title]?.counts.live[o] === 0 ? [`${title} ${id}`] : [])),
        );
        const found = recountOptions(catalogue, { asked: { within, facets, choices, text: "" }, offers });
        expect(found.map(({ facet, id }) => `${facet} ${id}`)).toEqual(told);
        none += told.length;
      }),
      { numRuns: 200 },
    );
    expect(none).toBeGreaterThan(100);
  });

  it("parts the products of a page into those that have a value and those that have none", () => {
    const [has, lacks] = [true, false].map((states) => recount(nursery, { within: [], field: "hardiness", states }));
    expect((has?.length ?? 0) + (lacks?.length ?? 0)).toBe(nursery.productIds.length);
    expect(lacks?.length).toBeGreaterThan(0);
  });

  it("is the reach of a facet and what a page leaves out, for random shops, pages, displays and rules", async () => {
    const ids: Record<string, string[]> = {
      colour: ["black", "white", "red"],
      mood: ["calm", "wild"],
      category: ["a", "a > b", "a > b > c", "a > d", "e"],
    };
    const rows = fc.constantFrom(...Object.keys(ids)).chain((field) =>
      fc.record({
        field: fc.constant(field),
        display: fc.constantFrom<DisplayName[]>("check-boxes", "switch", "dropdown", "tree"),
        show: fc.constantFrom<OptionRules["show"][]>("all", "only", "except"),
        picked: fc.subarray(ids[field] ?? []),
        nested: fc.boolean(),
        isStars: fc.boolean(),
      }),
    );
    let [restricted, leaving] = [0, 0];
    await fc.assert(
      fc.asyncProperty(shops, standing, rows, async (catalogue, within, one) => {
        const [display, field, mode]: [DisplayName, string, Mode] = one.isStars
          ? ["stars", "price", "range"]
          : one.field === "category"
            ? ["tree", "category", "tree"]
            : [one.display === "tree" ? "tags" : one.display, one.field, "any"];
        const row: FacetRow = {
          ...newFacet("f", field, display, mode),
          settings: one.nested ? {} : withSetting({}, "nested", false),
          options: { ...allOptions, show: one.show, picked: one.picked.map((id) => ({ id, label: id, products: 1 })) },
        };
        const panel = { ...emptyPanel("P"), rows: [row] };
        const facts = new LocalFacts(new CatalogueIndex(catalogue));
        const [facet] = engineFacets(panel, "wide");
        const answer = facts.ask(countsOf(facet ? [facet] : [], undefined, within));
        const found = answer.facets[field];
        if (!facet || !found) return;
        const reach = (await reachesOf(facts, panel, answer, { within })).get("f");
        const again = waysOfReach(row, facet, found, { within }).map((way) => recount(catalogue, way).length);
        expect(Math.min(...again)).toBe(reach);
        if (reach !== found.reach) restricted++;
        if (mode === "range") return;
        const rules = rulesOf(row);
        const left = found.options.filter(({ id }, o) => isShown(rules, id) && found.counts.steady[o] === 0);
        const names = recountOptions(catalogue, leftOut(row, facet, found, { within })).map(({ id }) => id);
        expect(names).toEqual(left.map(({ id }) => id));
        leaving += left.length;
      }),
      { numRuns: 1000 },
    );
    // Many of these would be other numbers if all that products state were offered.
    expect(restricted).toBeGreaterThan(30);
    expect(leaving).toBeGreaterThan(10);
  });
});

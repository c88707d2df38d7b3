import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { shops, standing } from "../../../tests/random-shop.ts";
import { Reference } from "../../../tests/reference.ts";
import type { Catalogue } from "../catalogue/catalogue.ts";
import { readCatalogue } from "../catalogue/read.ts";
import type { DisplayName } from "../displays/displays.ts";
import { countsOf } from "../engine/engine.ts";
import { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import type { Clause, Mode } from "../engine/question.ts";
import { allOptions } from "../panel/options.ts";
import { emptyPanel, engineFacets, newFacet } from "../panel/panel.ts";
import type { FacetRow, OptionRules, PanelDocument } from "../panel/panel-schema.ts";
import { LocalFacts } from "../profile/local-facts.ts";
import { withSetting } from "../settings/settings.ts";
import { findFindings } from "./findings.ts";
import { reachesOf } from "./reach.ts";

const named = (ids: readonly string[]) => ids.map((id) => ({ id, label: id, products: 1 }));
const panelOf = (...rows: FacetRow[]): PanelDocument => ({ ...emptyPanel("P"), rows });

async function reachIn(catalogue: Catalogue, row: FacetRow, within: Clause[] = []): Promise<number | undefined> {
  const facts = new LocalFacts(new CatalogueIndex(catalogue));
  const panel = panelOf(row);
  const answer = await facts.ask(countsOf(engineFacets(panel, "wide"), undefined, within));
  return (await reachesOf(facts, panel, answer, { within })).get(row.id);
}

// A hundred products, made up for this: the first of 80 states a colour, 16 of them are red.
const hundred = readCatalogue(
  new TextEncoder().encode(
    [
      "product_id,title,colour,category,brand,gift,rating",
      ...Array.from({ length: 100 }, (_, p) => {
        const colour = p >= 80 ? "" : p < 16 ? "Red" : p < 48 ? "Blue" : "Green";
        const category = p < 32 ? "A > One" : p < 50 ? "A > Two" : "B";
        return `p${p},P${p},${colour},${category},Maker ${p % 10},${p >= 90 ? "" : p < 23 ? "yes" : "no"},${p < 80 ? 1 + (p % 5) * 0.9 : p < 90 ? 0.4 : ""}`;
      }),
    ].join("\n"),
  ),
).catalogue;

describe("reach", () => {
  const facet = (field: string, display: DisplayName, mode: Mode, rules: Partial<OptionRules> = {}): FacetRow => ({
    ...newFacet("f", field, display, mode),
    options: { ...allOptions, ...rules },
  });
  const merge = { id: "m", label: "Red or blue", values: named(["red", "blue"]) };

  it.each<[words: string, row: FacetRow, reach: number]>([
    ["all that is stated", facet("colour", "check-boxes", "any"), 80],
    ["only red", facet("colour", "check-boxes", "any", { show: "only", picked: named(["red"]) }), 16],
    ["all but red", facet("colour", "check-boxes", "any", { show: "except", picked: named(["red"]) }), 64],
    [
      "only a merge",
      facet("colour", "check-boxes", "any", { show: "only", picked: named(["red or blue"]), merges: [merge] }),
      48,
    ],
    ["all-of, only red", facet("colour", "check-boxes", "all", { show: "only", picked: named(["red"]) }), 16],
    ["a picked branch", facet("category", "tree", "tree", { show: "only", picked: named(["a > one"]) }), 32],
    ["one brand of ten", facet("brand", "dropdown", "one", { show: "only", picked: named(["maker 3"]) }), 10],
    ["a switch", facet("gift", "switch", "any"), 23],
    ["nothing that is there", facet("colour", "tiles", "any", { show: "only", picked: named(["mauve"]) }), 0],
  ])("of %s is what its options find", async (_, row, reach) => expect(await reachIn(hundred, row)).toBe(reach));

  it("of a flat tree leaves out what only a branch has", async () => {
    const csv = "product_id,title,category\na,A,Pots\nb,B,Pots > Clay\nc,C,Pots > Clay\nd,D,Seeds\n";
    const { catalogue } = readCatalogue(new TextEncoder().encode(csv));
    const tree = facet("category", "tree", "tree");
    expect(await reachIn(catalogue, tree)).toBe(4);
    expect(await reachIn(catalogue, { ...tree, settings: withSetting({}, "nested", false) })).toBe(3);
  });

  it("is the lowest of the bands where these differ", async () => {
    const gift = facet("gift", "check-boxes", "any");
    expect(await reachIn(hundred, gift)).toBe(90);
    expect(await reachIn(hundred, { ...gift, display: { wide: "check-boxes", slim: "switch" } })).toBe(23);
  });

  it("of stars goes by the steps that are shown", async () => {
    const stars = facet("rating", "stars", "range");
    const facts = new LocalFacts(new CatalogueIndex(hundred));
    const answer = await facts.ask(countsOf(engineFacets(panelOf(stars), "wide")));
    const { ranges = [], counts } = answer.facets.rating ?? {};
    const lowest = Math.max(...ranges.map((_, at) => counts?.steady[at] ?? 0));
    expect(await reachIn(hundred, stars)).toBe(lowest);
    expect(lowest).toBeLessThan(90);
    expect(await reachIn(hundred, facet("rating", "slider", "range"))).toBe(90);
  });

  it("is told with what it is of", async () => {
    const facts = new LocalFacts(new CatalogueIndex(hundred));
    const words = async (row: FacetRow) =>
      (await findFindings(facts, panelOf(row), { text: "", choices: {} }))
        .filter(({ kind }) => kind === "low-reach")
        .map((one) => one.words);
    expect(await words(facet("colour", "check-boxes", "any"))).toEqual([]);
    expect(await words(facet("colour", "check-boxes", "any", { show: "only", picked: named(["red"]) }))).toEqual([
      "The options that Colour offers find only 16 of 100 products; 80 have a value for it. The other 84 disappear once it is used.",
    ]);
  });

  it("is what brute force over the offered options finds, for random shops, pages and panels", async () => {
    const ids: Record<string, string[]> = {
      colour: ["black", "white", "red"],
      size: ["s", "m", "l"],
      mood: ["calm", "wild"],
      category: ["a", "a > b", "a > b > c", "a > d", "e"],
    };
    const rows = fc.constantFrom(...Object.keys(ids)).chain((field) =>
      fc.record({
        field: fc.constant(field),
        show: fc.constantFrom<OptionRules["show"][]>("all", "only", "except"),
        picked: fc.subarray(ids[field] ?? []),
        merged:
          field === "category"
            ? fc.constant<string[]>([])
            : fc.subarray(ids[field] ?? [], { minLength: 0, maxLength: 2 }),
        nested: fc.boolean(),
      }),
    );
    let restricted = 0;
    await fc.assert(
      fc.asyncProperty(shops, standing, rows, async (catalogue, within, { field, show, picked, merged, nested }) => {
        const isTree = field === "category";
        const merges = merged.length > 1 ? [{ id: "m", label: "Merged", values: named(merged) }] : [];
        const row: FacetRow = {
          ...newFacet("f", field, isTree ? "tree" : "check-boxes", isTree ? "tree" : "any"),
          settings: nested ? {} : withSetting({}, "nested", false),
          options: { ...allOptions, show, picked: named(picked), merges },
        };
        const reference = new Reference(catalogue);
        const all = (ids[field] ?? []).filter((id) => merges.length === 0 || !merged.includes(id));
        const options = [
          ...all.map((id) => [id, [id]] as const),
          ...(merges.length > 0 ? [["merged", merged] as const] : []),
        ];
        const found = (values: readonly string[]) =>
          new Set(
            values.flatMap((value) =>
              reference.matching([{ field, mode: isTree ? "tree" : "any" }], { [field]: { options: [value] } }, within),
            ),
          );
        const shown = options.filter(
          ([id, values]) => (show === "all" || picked.includes(id) === (show === "only")) && found(values).size > 0,
        );
        const offered =
          isTree && !nested ? shown.filter(([id]) => !shown.some(([other]) => other.startsWith(`${id} > `))) : shown;
        if (offered.length < options.length) restricted++;
        const expected = new Set(offered.flatMap(([, values]) => [...found(values)])).size;
        expect(await reachIn(catalogue, row, within)).toBe(expected);
      }),
      { numRuns: 400 },
    );
    expect(restricted).toBeGreaterThan(100);
  });
});

import { describe, expect, it } from "vitest";
import { demoPages } from "../../../demo/pages.ts";
import { index } from "../../../tests/demo-page.ts";
import { countsOf } from "../engine/engine.ts";
import { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import { emptySelection } from "../engine/selection.ts";
import { LocalFacts } from "../profile/local-facts.ts";
import { collectionPages } from "./page-list.ts";
import { shownPage } from "./shown-page.ts";
import { withCollections } from "./with-collections.ts";

const facts = new LocalFacts(new CatalogueIndex(withCollections(index.catalogue, demoPages)));
const field = facts.index.catalogue.fields.find(({ role }) => role === "collections");

describe("collections as a field", () => {
  it("has an option for each collection, that counts the products of its page", () => {
    expect(field).toMatchObject({ key: "collections", name: "Collections" });
    const answer = facts.ask(countsOf([{ field: "collections", mode: "any" }])).facets.collections;
    const counted = new Map(answer?.options.map(({ label }, at) => [label, answer.counts.live[at]]));
    const pages = collectionPages(demoPages, facts.pageFacts());
    expect(pages.length).toBeGreaterThan(4);
    for (const page of pages) {
      const shown = shownPage(
        page.address,
        { ...demoPages, layouts: {}, exceptions: {} },
        facts.pageFacts(),
        undefined,
      );
      const { total } = facts.ask(countsOf([], emptySelection, shown?.within));
      expect([page.name, counted.get(page.name) ?? 0]).toEqual([page.name, total]);
    }
  });

  it("is not there without collections, keeps its hands off a column of that name, and is worked out of the rest alone", () => {
    expect(withCollections(index.catalogue, { collections: [] })).toBe(index.catalogue);
    const twice = withCollections(withCollections(index.catalogue, demoPages), demoPages);
    expect(twice.fields.map(({ key }) => key).filter((key) => key.startsWith("collections"))).toEqual([
      "collections",
      "collections-2",
    ]);
    const [first] = demoPages.collections;
    if (!first) throw new Error("There are collections.");
    const round = { field: "collections", options: [first.name.toLowerCase()] };
    const self = {
      ...first,
      id: "self",
      name: "Self",
      of: { by: "conditions" as const, join: "all" as const, conditions: [round] },
    };
    const made = new CatalogueIndex(withCollections(index.catalogue, { collections: [self] }));
    expect(made.options("collections").options).toEqual([]);
  });
});

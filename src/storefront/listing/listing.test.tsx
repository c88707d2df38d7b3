import { readFileSync } from "node:fs";
import { renderToString } from "preact-render-to-string";
import { describe, expect, it } from "vitest";
import { readCatalogue } from "../../core/catalogue/read.ts";
import { countsOf } from "../../core/engine/engine.ts";
import { CatalogueIndex } from "../../core/engine/index/catalogue-index.ts";
import { LocalEngine } from "../../core/engine/local-engine.ts";
import type { Choices } from "../../core/engine/question.ts";
import { emptySelection } from "../../core/engine/selection.ts";
import { defaultLayout, type Layout, showOf } from "../../core/page/layout.ts";
import { type CellPart, cellParts } from "../../core/page/listing-choices.ts";
import type { Band } from "../../core/settings/band.ts";
import { sayOf } from "../words/spoken.ts";
import { Listing } from "./listing.tsx";
import type { ListingState } from "./listing-state.ts";
import { SortBox } from "./sort-box.tsx";

const index = new CatalogueIndex(readCatalogue(readFileSync("demo/nursery.csv")).catalogue);
const engine = new LocalEngine(index);
const fields = new Map(index.catalogue.fields.map((field) => [field.key, field]));
const still = () => {};

/** The data of a listing, with a layout that differs from the default. */
function stateOf(changes: Partial<Layout>, more: Partial<ListingState> = {}, choices: Choices = {}): ListingState {
  const layout = { ...defaultLayout, ...changes };
  const selection = { ...emptySelection, choices };
  const facets = Object.keys(choices).map((field) => ({ field, mode: "any" as const }));
  const question = { ...countsOf(facets, selection), show: showOf(layout, fields.values()), mends: true };
  return {
    band: "wide",
    fields,
    swatches: {},
    currency: "EUR",
    selection,
    answer: engine.ask({ ...question, size: layout.size, sort: more.sort ?? "" }),
    language: "en",
    say: sayOf("en"),
    query: "",
    base: "/shop/n",
    rows: [],
    asked: facets,
    names: {},
    sort: "",
    page: 1,
    layout,
    order: "",
    ...more,
  };
}

const drawn = (state: ListingState, bands: readonly Band[] = ["wide"]) =>
  renderToString(<Listing states={bands.map((band) => ({ ...state, band }))} perform={still} />);

describe("a listing", () => {
  it("shows whatever a card can show, and nothing that the product does not state", () => {
    const every = cellParts.map((part) => (part === "field" ? { part, field: "light" } : { part }));
    const page = drawn(stateOf({ card: every, size: 3 }));
    expect(page.match(/class="zs-card"/g)).toHaveLength(3);
    expect(page).toContain('href="/shop/n/products/LM001"');
    expect(page).toContain("A clematis raised in our own frames.");
    expect(page).toContain("Full sun, Shade");
    expect(page).toMatch(/<select class="zs-variant"/);
    expect(page).toContain("Add to basket");
    // A field that the catalogue lacks takes no room and breaks nothing.
    const parts: { part: CellPart; field?: string }[] = [{ part: "title" }, { part: "field", field: "moonlight" }];
    expect(drawn(stateOf({ card: parts, size: 1 }))).not.toContain("moonlight");
  });

  it("is a table with columns of several parts, and the matching variant chosen", () => {
    const table = [
      { title: "What", cells: [{ part: "title" as const }, { part: "rating" as const }] },
      { title: "How", cells: [{ part: "variant" as const }, { part: "price" as const }] },
    ];
    const page = drawn(stateOf({ form: { wide: "table" }, table, size: 5 }, {}, { "pot-size": { options: ["2 l"] } }));
    expect(page).toContain('<th scope="col">What</th><th scope="col">How</th>');
    expect(page.match(/<tr>/g)).toHaveLength(6);
    for (const [, text] of page.matchAll(/<option[^>]*\bselected\b[^>]*>([^<]*)</g)) expect(text).toMatch(/^2 l/);
    expect([...page.matchAll(/<option[^>]*\bselected\b/g)].length).toBeGreaterThan(0);
  });

  it("is drawn once for every form that bands have, each for its bands", () => {
    const state = stateOf({ form: { wide: "table", medium: "grid", slim: "list" }, size: 2 });
    const page = drawn(state, ["wide", "medium", "slim"]);
    for (const [bands, mark] of [
      ["wide", "zs-table"],
      ["medium", "zs-grid"],
      ["slim", "zs-list"],
    ])
      expect(page).toMatch(new RegExp(`data-bands="${bands}">(<div[^>]*>)?<(table|ul) class="${mark}"`));
    expect(drawn(state, ["slim"])).not.toContain("zs-table");
  });

  it("tells its numbers to the style sheet", () => {
    const page = drawn(stateOf({ columns: { wide: 4, slim: 0 }, ratio: "tall", picture: 90 }));
    expect(page).toContain("--zs-columns-wide:repeat(4, minmax(0, 1fr))");
    expect(page).toContain("--zs-columns-slim:repeat(auto-fill");
    expect(page).toMatch(/--zs-ratio:0\.75; ?--zs-thumb:90px/);
  });

  it("leads to more by pages, or by a link that says how many", () => {
    expect(drawn(stateOf({ size: 100 }))).toMatch(/aria-label="Page 3"[^>]*>3</);
    const button = drawn(stateOf({ size: 100, more: "button" }));
    expect(button).toContain("100 of 240 shown");
    expect(button).toMatch(/href="\?page=2"[^>]*>Show 100 more</);
    expect(drawn(stateOf({ size: 200, more: "button" }))).toContain("Show 40 more");
    const all = stateOf({ size: 200, more: "button" }, {}, { light: { options: ["shade"] } });
    expect(drawn(all)).not.toContain("more</a>");
  });

  it("tells the highest price where the dearest stand first", () => {
    const cards = [{ part: "price" as const }];
    expect(drawn(stateOf({ card: cards, size: 4 }))).toContain("<small>from </small>");
    const dear = drawn(stateOf({ card: cards, size: 4 }, { sort: "-price" }));
    expect(dear).toContain("up to €");
    expect(dear).not.toContain("<small>from");
  });

  it("offers what can be taken back where nothing is found, and what else could have been meant", () => {
    const nothing = stateOf(
      { nothing: "<p>Sorry.</p>" },
      {},
      {
        light: { options: ["shade"] },
        category: { options: ["pots > troughs > clay"] },
      },
    );
    const page = drawn(nothing);
    expect(page).toContain("<p>Sorry.</p>");
    expect(page).toContain("Without Shade");
    expect(page).toMatch(/<b>77 products<\/b>/);
    const searched = { ...nothing, selection: { ...nothing.selection, text: "wistaria" } };
    const near = { ...searched, answer: { ...nothing.answer, near: ["wisteria"] } };
    expect(drawn(near)).toMatch(/Did you mean <a href="\?q=wisteria[^"]*">wisteria</);
  });
});

describe("orders that can be chosen", () => {
  const options = (state: ListingState) =>
    [
      ...renderToString(<SortBox state={state} perform={still} />).matchAll(
        /<option(?:[^>]*value="([^"]*)")?[^>]*>([^<]*)</g,
      ),
    ].map(([, value = "", label]) => `${label} (${value})`);

  it("are the usual ones, with best match first where something is searched for", () => {
    expect(options(stateOf({}))).toEqual([
      "Shop’s order ()",
      "Price, low to high (price)",
      "Price, high to low (-price)",
      "Newest first (-published)",
      "Best rated (-rating)",
      "Name, A to Z (title)",
    ]);
    expect(options(stateOf({}, { order: "best" })).slice(0, 2)).toEqual(["Best match ()", "Shop’s order (shop)"]);
  });

  it("are the designer's, in their words and the shopper's language", () => {
    const sorts = [
      { id: "a", sort: "price", label: "Cheap", labels: { de: "Billig" } },
      { id: "b", sort: "-mature-height", label: "Tall" },
    ];
    expect(options(stateOf({ sorts }))).toEqual(["Cheap ()", "Tall (-mature-height)"]);
    expect(options(stateOf({ sorts }, { language: "de" }))[0]).toBe("Billig ()");
  });
});

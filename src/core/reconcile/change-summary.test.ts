import { beforeAll, describe, expect, it } from "vitest";
import type { Mend } from "../catalogue/mend/mend-schema.ts";
import { readCatalogue } from "../catalogue/read.ts";
import { pagesKind } from "../page/kind.ts";
import { emptyPanel, newFacet } from "../panel/panel.ts";
import { swatchesKind } from "../swatch/kind.ts";
import { type ChangeSummary, changeSummary, type ShopAsIs } from "./change-summary.ts";

const read = (text: string, known?: Parameters<typeof readCatalogue>[1]) =>
  readCatalogue(new TextEncoder().encode(text), known).catalogue;
const before = read(`product_id,title,Colour,Light,price,stock
a,Ada,Pale pink,Shade,10,3
b,Bea,Pale pink,Shade,20,0
c,Cid,Blue,Full sun,30,5
d,Dot,Sea green,Full sun,40,5
e,Eve,Blue,Half shade,50,5
`);
const after = read(
  `product_id,title,Colour,Light,price,stock
a,Ada,Palepink,Shade,12,3
b,Bea,Palepink,Shade,20,7
c,Cid,Blue,Full sun,31,5
d,Dot,Moss,Full sun,40,5
f,Fay,Gloaming,Half shade,8,1
`,
  { known: before.fields },
);
const shop = (more: Partial<ShopAsIs> = {}): ShopAsIs => ({
  ...{ mends: [], panels: [], pages: pagesKind.fresh(""), swatches: swatchesKind.fresh("") },
  ...more,
});
const cell = (product: string, field: string, to: string): Mend => ({
  ...{ id: `m-${product}`, kind: "cell", field, product, variant: "#1", to: [to] },
});

describe("what a newer file changes", () => {
  let told: ChangeSummary;
  beforeAll(() => {
    told = changeSummary(before, shop(), after);
  });

  it("is told as old and new, what is paid and what ran out first", () => {
    expect(told.counts).toEqual({ added: 1, gone: 1, changed: 4, same: 0 });
    expect(told.changed.map(({ title, cells }) => [title, ...cells.map(({ field }) => field)])).toEqual([
      ["Ada", "Price", "Colour"],
      ["Cid", "Price"],
      ["Bea", "Stock", "Colour"],
      ["Dot", "Colour"],
    ]);
    expect(told.changed[0]?.cells[0]?.moves).toEqual([{ was: "10", is: "12" }]);
    expect(told.fields.map(({ name }) => name)).toEqual(["Price", "Stock", "Colour"]);
    expect(told.fields.find(({ name }) => name === "Colour")?.moves).toEqual([
      { was: "Pale pink", is: "Palepink", products: 2 },
      { was: "Sea green", is: "Moss", products: 1 },
    ]);
  });

  it("pairs a value with what it is spelt now, by the products that state it and by its name", () => {
    expect(told.renamedValues).toEqual([
      { field: { key: "colour", name: "Colour" }, from: "Pale pink", to: "Palepink", same: 2, of: 2 },
      // One product alone speaks for it, and the two names do not speak against it.
      { field: { key: "colour", name: "Colour" }, from: "Sea green", to: "Moss", same: 1, of: 1 },
    ]);
  });

  it("says of a value that is taken for what it was nothing any more", () => {
    const taken = changeSummary(before, shop(), after, [
      { kind: "values", field: "colour", from: ["palepink"], to: ["Pale pink"] },
    ]);
    expect(taken.renamedValues.map(({ from }) => from)).toEqual(["Sea green"]);
    expect(taken.fields.find(({ name }) => name === "Colour")).toMatchObject({
      products: 1,
      goneValues: ["Sea green"],
    });
  });

  it("tells a mend that hides something newer, and none that says the same as before or as now", () => {
    const mends = [
      cell("a", "price", "9"),
      cell("b", "price", "19"),
      cell("c", "price", "31"),
      cell("x", "price", "1"),
    ];
    const { hidden, hiddenCount } = changeSummary(before, shop({ mends }), after);
    expect(hiddenCount).toBe(1);
    expect(hidden).toEqual([
      {
        ...{ mend: "m-a", field: "Price", was: "10", is: "12", shows: "9", variant: undefined },
        product: { id: "a", title: "Ada" },
      },
    ]);
    const set: Mend = { id: "m1", kind: "set", field: "colour", products: ["a", "b", "e"], to: ["Rose"] };
    expect(changeSummary(before, shop({ mends: [set] }), after).hidden.map(({ product }) => product.id)).toEqual([
      "a",
      "b",
    ]);
  });

  it("names a facet only where it shows what is new or gone", () => {
    const facet = { ...newFacet("f", "colour", "swatches", "any") };
    const rules = { picked: [{ id: "blue", label: "Blue", products: 2 }], labels: {}, merges: [], byHand: [] };
    const words = (show: "all" | "only" | "except") =>
      changeSummary(
        before,
        shop({ panels: [{ ...emptyPanel("P"), rows: [{ ...facet, options: { show, ...rules } }] }] }),
        after,
      ).effects.map((effect) => effect.words);
    expect(words("only")).toEqual([]);
    expect(words("except")).toEqual([
      "Pale pink, Sea green are no longer in any product.",
      "Gloaming is new and has no colour.",
    ]);
  });

  it("names collections that lose a product picked by hand, or ask for what is gone", () => {
    const pages = pagesKind.fresh("");
    const collection = { slug: "x", names: {}, html: "", order: "" };
    pages.collections.push(
      { ...collection, id: "one", name: "Picks", of: { by: "hand", products: ["a", "e"] } },
      {
        ...{ ...collection, slug: "y", id: "two", name: "Green" },
        of: { by: "conditions", join: "all", conditions: [{ field: "colour", options: ["sea green"] }] },
      },
    );
    expect(changeSummary(before, shop({ pages }), after).effects).toEqual([
      { place: "Collection Picks", words: "Eve, picked by hand, is no longer in the catalogue." },
      { place: "Collection Green", words: "It uses Sea green, which no product has any more." },
    ]);
  });
});

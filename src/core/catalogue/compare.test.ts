import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoPanel } from "../../../demo/panel.ts";
import { shops } from "../../../tests/random-shop.ts";
import { pagesKind } from "../page/kind.ts";
import type { PanelDocument } from "../panel/panel-schema.ts";
import { importEffects } from "../reconcile/import-effects.ts";
import { compareCatalogues } from "./compare.ts";
import { readCatalogue } from "./read.ts";

const read = (text: string, known?: Parameters<typeof readCatalogue>[1]) =>
  readCatalogue(new TextEncoder().encode(text), known).catalogue;
const before = read(`product_id,title,Flower colour,Light,price
a,Ada,White,Shade,1
a,Ada,Red,Shade,2
b,Bea,Red,Full sun,3
c,Cid,Blue,Full sun,4
`);
const after = read(
  `product_id,title,flower colour,price,Scent
a,Ada,White,1,strong
a,Ada,Moonlit,2,strong
c,Cid,Blue,4,
d,Dot,Ember,5,faint
`,
  { known: before.fields },
);

describe("a newer catalogue", () => {
  const change = compareCatalogues(before, after);

  it("is told by product", () => {
    expect(change.added).toEqual([{ id: "d", title: "Dot" }]);
    expect(change.gone).toEqual([{ id: "b", title: "Bea" }]);
    expect(change.changed).toEqual([
      {
        id: "a",
        title: "Ada",
        changes: [{ field: expect.objectContaining({ key: "flower-colour" }), moves: [{ was: "Red", is: "Moonlit" }] }],
      },
    ]);
    expect(change.same).toBe(1);
  });

  it("is told by field, with the values that come and go", () => {
    const byName = Object.fromEntries(change.fields.map(({ field, ...rest }) => [field.key, rest]));
    // The heading is spelt anew and the field keeps its key.
    expect(byName["flower-colour"]).toEqual({
      state: "kept",
      products: 1,
      moves: [{ was: "Red", is: "Moonlit", products: 1 }],
      newValues: ["Moonlit", "Ember"],
      goneValues: ["Red"],
    });
    expect(byName.light).toMatchObject({ state: "gone", goneValues: ["Shade", "Full sun"] });
    expect(byName.scent).toMatchObject({ state: "added", newValues: ["strong", "faint"] });
  });

  it("says which panels it touches, and how", () => {
    const panel: PanelDocument = {
      ...demoPanel,
      rows: demoPanel.rows.filter(({ id }) => ["f-flower-colour", "f-light", "f-price"].includes(id)),
    };
    const pages = pagesKind.fresh("");
    const effects = (given: PanelDocument) =>
      importEffects(change, [given], pages, () => false).map(({ place, words }) => `${place}: ${words}`);
    expect(effects(panel)).toEqual([
      `${panel.name}, Flower colour: Red is no longer in any product.`,
      `${panel.name}, Flower colour: Moonlit, Ember are new and have no colour.`,
      `${panel.name}, Light: The field is gone, so the facet is empty. Remove the facet, or include the field in the file.`,
    ]);
    expect(importEffects(compareCatalogues(before, before), [panel], pages, () => false)).toEqual([]);
  });

  it("that is the same one changes nothing", () => {
    fc.assert(
      fc.property(shops, (catalogue) => {
        expect(compareCatalogues(catalogue, catalogue)).toEqual({
          added: [],
          gone: [],
          changed: [],
          same: catalogue.productIds.length,
          fields: [],
        });
      }),
    );
  });

  it("adds up: every product is new, changed or the same, and the old ones are kept or gone", () => {
    fc.assert(
      fc.property(shops, shops, (one, other) => {
        const { added, gone, changed, same } = compareCatalogues(one, other);
        expect(added.length + changed.length + same).toBe(other.productIds.length);
        expect(gone.length + changed.length + same).toBe(one.productIds.length);
      }),
    );
  });
});

import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { everything } from "../../src/core/engine/base.ts";
import { liveCounts } from "../../src/core/engine/count.ts";
import { CatalogueIndex } from "../../src/core/engine/index/catalogue-index.ts";
import { Matcher } from "../../src/core/engine/matcher.ts";
import { liveRange } from "../../src/core/engine/range.ts";
import { optionsOf } from "../../src/core/engine/selection.ts";
import { questions, shops } from "../random-shop.ts";
import { Reference } from "../reference.ts";

const runs = { numRuns: 400 };

describe("the engine against the definition written out", () => {
  it("finds the same products", () => {
    fc.assert(
      fc.property(shops, questions, (catalogue, { facets, choices }) => {
        const index = new CatalogueIndex(catalogue);
        const found = new Matcher(index, everything(index), facets, choices).productIds();
        expect([...found]).toEqual(new Reference(catalogue).matching(facets, choices));
      }),
      runs,
    );
  });

  it("judges the same fields to be variant-level", () => {
    fc.assert(
      fc.property(shops, questions, (catalogue, { facets }) => {
        const index = new CatalogueIndex(catalogue);
        const reference = new Reference(catalogue);
        for (const facet of facets)
          expect(index.level(facet.field)).toBe(reference.isVariantLevel(facet.field) ? "variant" : "product");
      }),
      runs,
    );
  });

  it("counts for every option what choosing it would find", () => {
    fc.assert(
      fc.property(shops, questions, (catalogue, { facets, choices }) => {
        const index = new CatalogueIndex(catalogue);
        const reference = new Reference(catalogue);
        for (const facet of facets.filter(({ mode }) => mode !== "range")) {
          const counts = liveCounts(new Matcher(index, everything(index), facets, choices), facet);
          index.options(facet.field, facet.mode === "tree").options.forEach(({ id }, o) => {
            const present = facet.mode === "all" ? optionsOf(choices[facet.field]) : [];
            const then = { ...choices, [facet.field]: { options: [...new Set([...present, id])] } };
            expect(counts[o]).toBe(reference.matching(facets, then).length);
            expect(counts[o]).toBe(new Matcher(index, everything(index), facets, then).productIds().length);
          });
        }
      }),
      runs,
    );
  });

  it("takes a range's ends from the products and variants that the definition names", () => {
    fc.assert(
      fc.property(shops, questions, (catalogue, { facets, choices }) => {
        const index = new CatalogueIndex(catalogue);
        const reference = new Reference(catalogue);
        const { price: _price, ...others } = choices;
        const column = catalogue.columns.get("price");
        const together = facets.filter(({ field, mode }) => reference.isVariantLevel(field) && mode !== "all");
        const values = reference.matching(facets, others).flatMap((p) =>
          reference
            .variantsOf(p)
            .filter((v) => together.every((facet) => !others[facet.field] || reference.holdsAlone(v, facet, others)))
            .flatMap((v) =>
              Array.from(column?.codes.slice(column.starts[v], column.starts[v + 1]) ?? [], (code) =>
                Number(column?.spellings[code]),
              ),
            ),
        );
        const { min, max } = liveRange(new Matcher(index, everything(index), facets, choices), {
          field: "price",
          mode: "range",
        });
        expect([min, max]).toEqual(values.length === 0 ? [null, null] : [Math.min(...values), Math.max(...values)]);
      }),
      runs,
    );
  });
});

// Common practice, no source.
describe("adding an option", () => {
  for (const [mode, grows] of [
    ["any", true],
    ["all", false],
  ] as const) {
    it(`to an ${mode}-of facet never ${grows ? "lowers" : "raises"} the result`, () => {
      fc.assert(
        fc.property(
          shops,
          questions,
          fc.constantFrom("black", "white", "red"),
          (catalogue, { facets, choices }, added) => {
            const index = new CatalogueIndex(catalogue);
            const asked = facets.map((facet) => (facet.field === "colour" ? { ...facet, mode } : facet));
            const before = optionsOf(choices.colour);
            fc.pre(before.length > 0);
            const total = (options: readonly string[]) =>
              new Matcher(index, everything(index), asked, {
                ...choices,
                colour: { options: [...options] },
              }).productIds().length;
            const [now, then] = [total(before), total([...before, added])];
            expect(grows ? then >= now : then <= now).toBe(true);
          },
        ),
        runs,
      );
    });
  }
});

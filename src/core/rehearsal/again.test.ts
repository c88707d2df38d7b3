import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { shops } from "../../../tests/random-shop.ts";
import { drawn, walkAgain } from "../../../tests/rehearsal-again.ts";
import type { DisplayName } from "../displays/displays.ts";
import { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import { pagesKind } from "../page/kind.ts";
import { emptyPanel, newFacet } from "../panel/panel.ts";
import type { FacetRow } from "../panel/panel-schema.ts";
import { LocalFacts } from "../profile/local-facts.ts";
import type { Band } from "../settings/band.ts";
import { pageScene } from "./page-scene.ts";
import { rehearsed } from "./rehearse.ts";
import { seededRandom } from "./seeded-random.ts";

const displaysFor: Record<string, DisplayName[]> = {
  colour: ["check-boxes", "tiles", "dropdown"],
  size: ["check-boxes", "tiles", "dropdown"],
  mood: ["check-boxes", "switch"],
  category: ["tree"],
  price: ["slider"],
};
const rows: fc.Arbitrary<FacetRow[]> = fc.shuffledSubarray(Object.keys(displaysFor), { minLength: 1 }).chain((fields) =>
  fc.tuple(
    ...fields.map((field) =>
      fc
        .record({
          display: fc.constantFrom(...(displaysFor[field] ?? [])),
          emptyOptions: fc.constantFrom("keep", "fade", "drop"),
          start: fc.constantFrom("open", "folded"),
          foldAfter: fc.constantFrom(0, 1, 2, 8),
          nested: fc.boolean(),
        })
        .map(
          ({ display, ...settings }): FacetRow => ({
            ...newFacet(
              `f-${field}`,
              field,
              display,
              field === "category" ? "tree" : field === "price" ? "range" : "any",
            ),
            settings: settings as FacetRow["settings"],
          }),
        ),
    ),
  ),
);

describe("the rehearsal, written down again from its document", () => {
  it("draws the same numbers", () =>
    fc.assert(
      fc.property(fc.integer(), fc.integer({ min: 0 }), fc.string(), (seed, n, name) => {
        expect(drawn(seed, n, "knows", name)).toBe(seededRandom(seed, n, "knows", name));
      }),
    ));

  it("sends shoppers the same ways, in the same time, through random panels of random shops on every band", () => {
    let walks = 0;
    let chosen = 0;
    const placements = fc.constantFrom("left" as const, "drawer" as const);
    const bands = fc.constantFrom<Band[]>("wide", "medium", "slim");
    const sticks = fc.boolean();
    const assumed = fc.record({ known: fc.constantFrom(1, 3), first: fc.constantFrom(1, 2, 8) });
    fc.assert(
      fc.property(
        shops,
        rows,
        placements,
        bands,
        sticks,
        fc.nat(1000),
        assumed,
        (catalogue, some, placement, band, sticky, seed, { known, first }) => {
          const panel = {
            ...emptyPanel("P"),
            placement: { wide: placement },
            rows: some,
            behaviour: { sticky: { wide: sticky } },
          };
          const facts = new LocalFacts(new CatalogueIndex(catalogue));
          const scene = pageScene(facts, "/", pagesKind.fresh(""), new Map([["p", panel]]), band);
          if (!scene) throw new Error("A shop has a page of all its products.");
          for (const walk of rehearsed(facts.engine, scene, {
            shoppers: 20,
            seed,
            assumptions: { values: { known, first }, knows: {} },
          })) {
            const again = walkAgain(catalogue, panel, band, { seed, known, first }, walk.n);
            expect(walk.target).toBe(again.target);
            expect(walk.moves.map(({ row, after }) => ({ row, after }))).toEqual(again.moves);
            expect(walk.deadEnds.map(({ row, kind }) => ({ row, kind }))).toEqual(again.deadEnds);
            expect(walk.ending).toBe(again.ending);
            expect(walk.px).toBeCloseTo(again.px, 6);
            expect(walk.seconds).toBeCloseTo(again.seconds, 6);
            walks++;
            chosen += walk.moves.length;
          }
        },
      ),
      { numRuns: 200 },
    );
    expect(walks).toBeGreaterThan(3000);
    expect(chosen).toBeGreaterThan(1000);
  });
});

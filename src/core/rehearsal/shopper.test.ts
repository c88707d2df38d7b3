import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { demoPanel } from "../../../demo/panel.ts";
import { factsOf, run, sceneOn } from "../../../tests/rehearsed.ts";
import { edited } from "../document/edit.ts";
import { countsOf } from "../engine/engine.ts";
import { removeRow } from "../panel/edit.ts";
import { defaultAssumptions } from "./assumptions.ts";
import { rehearsed } from "./rehearse.ts";
import { seededRandom } from "./seeded-random.ts";
import { shopperOf, targetsOf } from "./shopper.ts";
import { summaryOf } from "./summary.ts";
import { waysOf } from "./ways.ts";

describe("shoppers", () => {
  const nursery = factsOf(readFileSync("demo/nursery.csv"));
  const scene = sceneOn(nursery, demoPanel);

  it("are the same for the same seed, and know the same whatever panel they are sent through", () => {
    const once = rehearsed(nursery.engine, scene, { shoppers: 200 });
    expect(rehearsed(nursery.engine, scene, { shoppers: 200 })).toEqual(once);
    expect(rehearsed(nursery.engine, scene, { shoppers: 50 })).toEqual(once.slice(0, 50));
    const less = run(nursery, edited(demoPanel, removeRow("f-price", "")), { shoppers: 200 });
    expect(less.map(({ target }) => target)).toEqual(once.map(({ target }) => target));
    expect(rehearsed(nursery.engine, scene, { shoppers: 200, seed: 2 })).not.toEqual(once);
  });

  it("know no SKU, id, picture or description of what they look for, and what else they are said to know", () => {
    const { index } = nursery;
    const targets = targetsOf(
      index,
      Uint32Array.from({ length: index.products }, (_, p) => p),
      "even",
    );
    const knowing = (field: string, knows = {}) =>
      Array.from({ length: 300 }, (_, n) =>
        shopperOf(index, targets, { ...defaultAssumptions, knows }, 1, n).believes(field),
      ).filter((thing) => thing !== undefined).length;
    for (const field of ["sku", "product-id", "image", "description"]) {
      expect(index.field(field), field).toBeDefined();
      expect([field, knowing(field)]).toEqual([field, 0]);
    }
    expect(knowing("category")).toBeGreaterThan(200);
    // Sellers of spare parts know otherwise.
    expect(knowing("sku", { sku: 1 })).toBe(300);
  });

  it("draw numbers that are spread evenly", () => {
    const draws = Array.from({ length: 10_000 }, (_, n) => seededRandom(1, n, "target"));
    const tenths = Array.from({ length: 10 }, (_, t) => draws.filter((x) => Math.floor(x * 10) === t).length);
    // Chi-square with nine degrees of freedom: 27.9 is passed once in a thousand. Source: any table of the distribution.
    expect(tenths.reduce((sum, n) => sum + (n - 1000) ** 2 / 1000, 0)).toBeLessThan(27.9);
  });

  it("look for products as often as they weigh, and not at all for those that weigh nothing", () => {
    const { index } = nursery;
    const products = Uint32Array.from({ length: 240 }, (_, p) => p);
    const ids = index.catalogue.productIds;
    const targets = targetsOf(
      index,
      products,
      new Map([
        [ids[3] ?? "", 3],
        [ids[7] ?? "", 1],
      ]),
    );
    const drawn = Array.from(
      { length: 4000 },
      (_, n) => shopperOf(index, targets, defaultAssumptions, 5, n).target.product,
    );
    expect(new Set(drawn)).toEqual(new Set([3, 7]));
    expect(drawn.filter((p) => p === 3).length / 4000).toBeCloseTo(0.75, 1);
  });

  it("go by counts that are the engine's, in every move of every walk", () => {
    const walks = rehearsed(nursery.engine, scene, { shoppers: 150, seed: 9 });
    const facets = scene.facets.map(({ facet }) => facet);
    let moves = 0;
    for (const walk of walks) {
      for (const { selection, after } of walk.moves) {
        expect(nursery.ask(countsOf(facets, selection)).total).toBe(after);
        moves++;
      }
    }
    expect(moves).toBeGreaterThan(100);
  });

  it("of another seed give figures within the interval of the first", () => {
    const share = (seed: number) =>
      summaryOf(rehearsed(nursery.engine, scene, { shoppers: 2000, seed })).endings.arrived;
    const first = share(1);
    // Three standard errors of a difference of two shares. Source: the normal approximation of the binomial.
    const most = 3 * Math.sqrt((2 * first * (1 - first)) / 2000);
    for (const seed of [2, 3, 4]) expect(Math.abs(share(seed) - first)).toBeLessThan(most);
  });

  it("are counted in the picture of their ways, none lost and none twice", () => {
    const walks = rehearsed(nursery.engine, scene, { shoppers: 500 });
    const { nodes, links } = waysOf(walks);
    const at = (step: number) => nodes.filter((node) => node.step === step);
    expect(at(0).reduce((sum, { shoppers }) => sum + shoppers, 0)).toBe(500);
    expect(nodes.filter(({ ends }) => ends).reduce((sum, { shoppers }) => sum + shoppers, 0)).toBe(500);
    for (const node of nodes.filter(({ ends }) => !ends))
      expect(links.filter(({ from }) => from === node).reduce((sum, { shoppers }) => sum + shoppers, 0)).toBe(
        node.shoppers,
      );
  });
});

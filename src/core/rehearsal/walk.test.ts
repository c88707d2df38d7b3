import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { demoPanel } from "../../../demo/panel.ts";
import { boxes, factsOf, four, keys4, knowing, panelOf, run, sceneOn, sixteen } from "../../../tests/rehearsed.ts";
import { edited } from "../document/edit.ts";
import { splitFacet } from "../panel/option-edit.ts";
import { newFacet } from "../panel/panel.ts";
import type { FacetRow } from "../panel/panel-schema.ts";
import { informationGain } from "../profile/entropy.ts";
import { fewestChoices } from "./fewest-choices.ts";
import { operatorSeconds, secondsOf } from "./operators.ts";
import { offeredBy } from "./page-scene.ts";
import { summaryOf } from "./summary.ts";
import type { Walk } from "./walk.ts";

describe("shops of a few products, worked by hand", () => {
  it("a balanced tree of facets takes log2 of the products, whoever is sent", () => {
    const walks = run(sixteen, four, { shoppers: 200, assumptions: knowing(keys4) });
    // The first of the sixteen stands first from the start, one in the first place of each half after that choice, and so on.
    for (const { moves, target, ending } of walks) {
      expect(ending).toBe("arrived");
      expect(moves.map(({ after }) => after)).toEqual([8, 4, 2, 1].slice(0, moves.length));
      if (target === 15) expect(moves).toHaveLength(4);
      if (target === 0) expect(moves).toHaveLength(0);
    }
    // Of the products that fit, the first stands first: it is enough to choose where a product has a one.
    const ones = (target: number) => [...target.toString(2)].filter((bit) => bit === "1").length;
    const mean = walks.reduce((sum, { target }) => sum + ones(target), 0) / walks.length;
    expect(fewestChoices(sixteen.engine, sceneOn(sixteen, four), 1, walks)).toBeCloseTo(mean, 10);
  });

  it("a facet that states nothing, or the same of all, is never taken", () => {
    const facts = factsOf("title,same,none,colour\na,x,,red\nb,x,,blue\nc,x,,green\nd,x,,grey\n");
    const panel = panelOf(boxes("same"), boxes("colour"));
    const walks = run(facts, panel, { shoppers: 100, assumptions: knowing(["same", "none", "colour"]) });
    expect(new Set(walks.flatMap(({ moves }) => moves.map(({ row }) => row)))).toEqual(new Set(["f-colour"]));
    expect(walks.every(({ ending, moves }) => ending === "arrived" && moves.length <= 1)).toBe(true);
  });

  it("a facet split in two leads everybody on whose value stands in either part, and to no dead end", () => {
    const facts = factsOf(`title,colour\n${[..."abcdefgh"].map((name) => `${name},colour ${name}`).join("\n")}\n`);
    const whole = panelOf(boxes("colour"));
    const offered = offeredBy(facts, whole.rows, "wide")(boxes("colour"));
    const parted = edited(whole, splitFacet(boxes("colour"), "Colour", offered.slice(0, 4)));
    expect(parted.rows.map(({ id }) => id)).toEqual(["f-colour", "f-colour-2"]);
    const walks = run(facts, parted, { shoppers: 200, assumptions: knowing(["colour"]) });
    expect(walks.every(({ ending, deadEnds }) => ending === "arrived" && deadEnds.length === 0)).toBe(true);
    const rows = walks.flatMap(({ target, moves }) => moves.map(({ row }) => [target < 4, row]));
    expect(new Set(rows.map(String))).toEqual(new Set(["true,f-colour", "false,f-colour-2"]));
  });

  it("one choice suffices where one facet names each product, whatever else is asked; a slider takes no less than one", () => {
    const rows = [..."abcdefgh"].map((name, n) => `${name},${n % 2 ? "even" : "odd"},name ${name},${n * 10}`);
    const facts = factsOf(`title,half,named,size\n${rows.join("\n")}\n`);
    const panel = panelOf(boxes("half"), boxes("named"), newFacet("f-size", "size", "slider", "range"));
    const walks = run(facts, panel, { shoppers: 100, assumptions: knowing(["half"]) });
    const there = walks.filter(({ ending }) => ending === "arrived");
    const bound = fewestChoices(facts.engine, sceneOn(facts, panel), 1, walks) ?? Number.NaN;
    // Whoever looks for the first card needs no choice, everybody else one.
    expect(bound).toBeCloseTo(there.filter(({ target }) => target !== 0).length / there.length, 10);
    expect(bound).toBeLessThanOrEqual(there.reduce((sum, { moves }) => sum + moves.length, 0) / there.length);
  });

  it("nobody finds their product with fewer choices than the fewest, on the demo's page and in random shops", () => {
    const nursery = factsOf(readFileSync("demo/nursery.csv"));
    const scene = sceneOn(nursery, demoPanel);
    for (const seed of [1, 2, 3]) {
      const walks = run(nursery, demoPanel, { shoppers: 60, seed });
      for (const walk of walks.filter(({ ending }) => ending === "arrived")) {
        const bound = fewestChoices(nursery.engine, scene, 8, [walk]);
        if (bound !== undefined) expect(bound).toBeLessThanOrEqual(walk.moves.length);
      }
    }
  });

  it("whoever knows nothing that is asked finds only what stands there already", () => {
    const walks = run(sixteen, four, {
      shoppers: 320,
      assumptions: { ...knowing([]), knows: { a: 0, b: 0, c: 0, d: 0 } },
    });
    expect(walks.every(({ moves }) => moves.length === 0)).toBe(true);
    expect(walks.every(({ ending, target }) => (ending === "arrived") === (target === 0))).toBe(true);
  });

  it("a dead end by construction is met: a value that the facet leaves out, and one that is dropped", () => {
    const facts = factsOf("title,colour\na,red\nb,blue\nc,green\n");
    const colour: FacetRow = {
      ...boxes("colour"),
      options: {
        show: "except",
        picked: [{ id: "green", label: "green", products: 1 }],
        labels: {},
        merges: [],
        byHand: [],
      },
    };
    const walks = run(facts, panelOf(colour), { shoppers: 100, assumptions: knowing(["colour"]) });
    for (const { target, deadEnds, ending } of walks) {
      expect(deadEnds.map(({ kind }) => kind)).toEqual(target === 2 ? ["missing"] : []);
      expect(ending).toBe(target === 2 ? "nothing helps" : "arrived");
    }
    expect(summaryOf(walks).uses.find(({ row }) => row === "f-colour")?.deadEnds).toBeGreaterThan(0.2);
  });

  it("a choice that finds nothing is taken back where the panel keeps such options, and cannot be made where it does not", () => {
    const facts = factsOf("product_id,title,colour,size\np1,a,red,L\np2,b,blue,M\np3,c,red,L\np4,d,blue,M\n");
    const size = (emptyOptions: "keep" | "fade"): FacetRow => ({ ...boxes("size"), settings: { emptyOptions } });
    // All that is known of the size is wrong: somebody else's.
    const assumptions = knowing(["colour", "size"], { mistaken: 0.5, first: 1 });
    const kinds = (emptyOptions: "keep" | "fade") =>
      new Set(
        run(facts, panelOf(boxes("colour"), size(emptyOptions)), { shoppers: 400, assumptions }).flatMap(
          ({ deadEnds }) => deadEnds.map(({ kind }) => kind),
        ),
      );
    expect(kinds("keep")).toEqual(new Set(["empty"]));
    expect(kinds("fade")).toEqual(new Set(["missing"]));
  });

  it("the product is one variant, and what is known is of that variant", () => {
    const facts = factsOf("product_id,title,colour,size\np1,a,black,L\np1,a,white,M\np2,b,black,M\np3,c,white,L\n");
    const panel = panelOf(boxes("colour"), boxes("size"));
    const walks = run(facts, panel, { shoppers: 300, assumptions: knowing(["colour", "size"]) });
    // No product is ever lost by colours and sizes of different variants.
    expect(walks.every(({ ending, deadEnds }) => ending === "arrived" && deadEnds.length === 0)).toBe(true);
  });
});

describe("what the page offers is what shoppers meet", () => {
  it("a switch has a yes and no no, and is no dead end to those who want none", () => {
    const facts = factsOf("title,organic\na,yes\nb,no\nc,no\nd,yes\n");
    const row = { ...boxes("organic"), display: { wide: "switch" } } as const;
    const walks = run(facts, panelOf(row), { shoppers: 100, assumptions: knowing(["organic"]) });
    expect(walks.flatMap(({ deadEnds }) => deadEnds)).toEqual([]);
    expect(new Set(walks.flatMap(({ moves }) => moves.map(({ words }) => words)))).toEqual(new Set(["yes"]));
    expect(walks.every(({ target, moves }) => moves.length === 0 || target === 3)).toBe(true);
  });

  it("a tree costs less level by level than a list of all its branches", () => {
    const leaves = [..."abcdefgh"].flatMap((top) => [..."uvwxyz"].map((leaf) => `${top} > ${leaf}`));
    const facts = factsOf(`title,category\n${leaves.map((path) => `${path.replace(" > ", "")},${path}`).join("\n")}\n`);
    const tree = (nested: boolean): FacetRow => ({
      ...newFacet("f-category", "category", "tree", "tree"),
      settings: { nested },
    });
    const mean = (row: FacetRow) => {
      const walks = run(facts, panelOf(row), { shoppers: 200, assumptions: knowing(["category"]) });
      return walks.reduce((sum, { seconds }) => sum + seconds, 0) / walks.length;
    };
    expect(mean(tree(true))).toBeLessThan(mean(tree(false)) - 1);
  });
});

describe("the first facet taken", () => {
  /** Source: Quinlan (1986), Induction of Decision Trees, table 1. */
  const weather = `outlook,temperature,humidity,wind,play
sunny,hot,high,weak,no
sunny,hot,high,strong,no
overcast,hot,high,weak,yes
rain,mild,high,weak,yes
rain,cool,normal,weak,yes
rain,cool,normal,strong,no
overcast,cool,normal,strong,yes
sunny,mild,high,weak,no
sunny,cool,normal,weak,yes
rain,mild,normal,weak,yes
sunny,mild,normal,strong,yes
overcast,mild,high,strong,yes
overcast,hot,normal,weak,yes
rain,mild,high,strong,no`;
  const attributes = ["outlook", "temperature", "humidity", "wind"];
  const rows = weather.split("\n").slice(1);

  it("in Quinlan's table is the one that leaves least, for each of the fourteen rows", () => {
    const facts = factsOf(
      [
        "product_id,title,outlook,temperature,humidity,wind,play",
        ...rows.map((row, n) => `p${n},Day ${n},${row}`),
      ].join("\n"),
    );
    const walks = run(facts, panelOf(...attributes.map(boxes)), { shoppers: 300, assumptions: knowing(attributes) });
    const table = rows.map((row) => row.split(","));
    for (const { target, moves } of walks) {
      const [first] = moves;
      if (!first) continue;
      // Worked out from the table itself: how many days share each value of this day.
      const shared = attributes.map((_, at) => table.filter((row) => row[at] === table[target]?.[at]).length);
      expect(first.after).toBe(Math.min(...shared));
    }
    // The table's own figures, as far as they are about the attributes: 0.246, 0.151, 0.048, 0.029 bit.
    const gains = attributes.map((_, at) =>
      informationGain(
        table.map((row) => row[at]),
        table.map((row) => row[4]),
      ),
    );
    expect(gains.map((gain) => Math.floor(gain * 1000) / 1000)).toEqual([0.246, 0.029, 0.151, 0.048]);
  });
});

describe("what a move costs", () => {
  it("is made of the operators of Card, Moran and Newell (1980), from memory", () => {
    expect(operatorSeconds).toEqual({ K: 0.28, B: 0.28, P: 1.1, H: 0.4, M: 1.35 });
    expect(secondsOf(["M", "P", "K"])).toBeCloseTo(2.73);
  });

  it("is more for a dropdown than for a box, for a folded facet than for an open one, in a drawer than beside", () => {
    const timeOf = (row: FacetRow) => {
      const walks = run(sixteen, panelOf(row), { shoppers: 200, assumptions: knowing(keys4, { first: 8 }) });
      const times = walks.filter(({ moves }) => moves.length === 1).map(({ moves }) => moves[0]?.seconds ?? 0);
      return Math.min(...times);
    };
    const box = timeOf(boxes("d"));
    // One point and one press more each.
    expect(timeOf({ ...boxes("d"), display: { wide: "dropdown" } }) - box).toBeCloseTo(1.1 + 0.28, 5);
    expect(timeOf({ ...boxes("d"), settings: { start: "folded" } }) - box).toBeCloseTo(1.1 + 0.28, 5);
    // On a phone a drawer is thought of and tapped, and left again by its button.
    const all = (slim: "drawer" | "above") => {
      const panel = { ...panelOf(boxes("d")), placement: { wide: "left", slim } } as const;
      const walks = run(sixteen, panel, { shoppers: 200, assumptions: knowing(keys4, { first: 2 }) }, "slim");
      return Math.min(...walks.flatMap(({ moves, seconds }) => (moves.length === 1 ? seconds : [])));
    };
    expect(all("drawer") - all("above")).toBeCloseTo(1.35 + 2 * 0.43, 5);
  });

  it("grows with the cards that are looked at: the eighth ends below a phone's first screen", () => {
    const panel = { ...panelOf(boxes("d")), placement: { wide: "left", slim: "drawer" } } as const;
    const pxOf = (first: number, band: "wide" | "slim") =>
      run(sixteen, panel, { shoppers: 60, assumptions: { ...knowing([], { first }), knows: {} } }, band)
        .filter(({ target }) => target === first - 1)
        .map(({ px }) => px);
    const { cards, screen } = sceneOn(sixteen, panel, "slim");
    const end = cards.top + (8 / cards.columns) * cards.height;
    expect(end).toBeGreaterThan(1.5 * screen);
    expect(new Set(pxOf(8, "slim"))).toEqual(new Set([end - screen]));
    expect(new Set(pxOf(2, "slim"))).toEqual(new Set([0]));
  });

  it("grows with what must be scrolled past", () => {
    const tall = { ...newFacet("f-tall", "title", "check-boxes", "any"), settings: { foldAfter: 0 } };
    const walks = (rows: FacetRow[]) =>
      run(sixteen, panelOf(...rows), { shoppers: 100, assumptions: { ...knowing(["d"]), knows: { d: 1, title: 0 } } });
    const px = (list: Walk[]) => Math.max(...list.map((one) => one.px));
    expect(px(walks([boxes("d"), tall]))).toBe(0);
    expect(px(walks([tall, tall, boxes("d")].map((row, n) => ({ ...row, id: `r${n}` }))))).toBeGreaterThan(300);
  });
});

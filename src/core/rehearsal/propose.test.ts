import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { demoPanel } from "../../../demo/panel.ts";
import { factsOf, run } from "../../../tests/rehearsed.ts";
import { edited } from "../document/edit.ts";
import { moveRow } from "../panel/edit.ts";
import type { PanelDocument } from "../panel/panel-schema.ts";
import { offeredBy } from "./page-scene.ts";
import { changesOf, choiceCost, propose } from "./propose.ts";

describe("proposals", () => {
  const nursery = factsOf(readFileSync("demo/nursery.csv"));
  /** The facets that help most stand last, below long lists that help little. */
  const worse = edited(demoPanel, moveRow("f-category", 99, ""), moveRow("f-flower-colour", 99, ""));
  const given = {
    band: "wide" as const,
    seed: 7,
    maxSeconds: 120,
    budget: 12,
    titleOf: (row: string) => row,
    profileOf: (field: string) => nursery.profile(field),
    optionsOf: offeredBy(nursery, worse.rows, "wide"),
    run: (panel: PanelDocument, shoppers: number, seed: number) => run(nursery, panel, { shoppers, seed }),
  };

  it("are better with shoppers that neither the search nor the judging has seen", () => {
    const search = propose(worse, given);
    let step = search.next();
    while (!step.done) step = search.next();
    expect(step.value.length).toBeGreaterThan(0);
    const cost = (panel: PanelDocument) =>
      run(nursery, panel, { shoppers: 2000, seed: 4242 }).reduce((sum, one) => sum + choiceCost(one, 120), 0);
    for (const { document, low, p } of step.value) {
      expect(cost(document)).toBeLessThan(cost(worse));
      expect([low > 0, p < 0.05]).toEqual([true, true]);
    }
  });

  it("try every facet first, folded and left out, and only displays that suit", () => {
    const changes = changesOf(demoPanel, given).map(({ words }) => words);
    expect(changes).toContain("Move f-light to the top");
    expect(changes).toContain("Remove f-price");
    expect(changes.some((words) => /^Split f-flower-colour: its \d+ most frequent options/.test(words))).toBe(true);
    // A tree and a facet of few options stay whole.
    expect(changes.some((words) => /^Split f-(category|price|light)/.test(words))).toBe(false);
    expect(changes.some((words) => /^Show f-price as .*check boxes/.test(words))).toBe(false);
    expect(new Set(changes).size).toBe(changes.length);
  });
});

import { describe, expect, it } from "vitest";
import { demoPanel } from "../../../demo/panel.ts";
import { stateFor } from "../../../tests/demo-page.ts";
import type { Selection } from "../../core/engine/question.ts";
import { nextPlace, startPlace } from "../../core/page/browse-state/browse-state.ts";
import { chipsOf } from "./chips.ts";

describe("chips", () => {
  it("say what is chosen and lead back without it", () => {
    const selection: Selection = {
      text: "vine",
      choices: {
        category: { options: ["plants > climbers"] },
        price: { min: 5, max: 20.5 },
        light: { options: ["shade"] },
      },
    };
    const chips = chipsOf(stateFor(demoPanel, selection));
    expect(chips.map(({ facet, text }) => `${facet}: ${text}`)).toEqual([
      "Search: “vine”",
      "Category: Climbers",
      "Price: €5 – €20.50",
      "Light: Shade",
    ]);
    for (const { takeBack } of chips) {
      const { selection: without } = nextPlace({ ...startPlace, selection }, takeBack);
      expect(Object.keys(without.choices).length + Number(without.text !== "")).toBe(3);
    }
    expect(chips.map(({ text }) => text)).toEqual(["“vine”", "Climbers", "€5 – €20.50", "Shade"]);
    const open = (range: { min?: number; max?: number }) =>
      chipsOf(stateFor(demoPanel, { text: "", choices: { price: range } })).map(({ text }) => text);
    expect([open({ min: 5 }), open({ max: 9 })]).toEqual([["from €5"], ["up to €9"]]);
  });

  it("say by themselves what is chosen", () => {
    const read = (choices: Selection["choices"]) =>
      chipsOf(stateFor(demoPanel, { text: "", choices })).map(({ text }) => text);
    expect(read({ "on-sale": { options: ["yes"] } })).toEqual(["On sale"]);
    expect(read({ "on-sale": { options: ["no"] } })).toEqual(["On sale: no"]);
    expect(read({ availability: { options: ["in stock"] } })).toEqual(["in stock"]);
    expect(read({ "mature-height": { min: 20, max: 40 } })).toEqual(["Mature height: 20 cm – 40 cm"]);
    // Both flowers and pots can be green.
    expect(read({ "flower-colour": { options: ["green"] } })).toEqual(["green"]);
    expect(
      read({ "flower-colour": { options: ["green"] }, "pot-colour": { options: ["green", "terracotta"] } }),
    ).toEqual(["Flower colour: green", "Pot colour: green", "terracotta"]);
  });
});

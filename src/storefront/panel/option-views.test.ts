import { describe, expect, it } from "vitest";
import { demoPanel } from "../../../demo/panel.ts";
import { chosen, lightRow, stateFor } from "../../../tests/demo-page.ts";
import type { Selection } from "../../core/engine/question.ts";
import { emptySelection } from "../../core/engine/selection.ts";
import type { FacetRow } from "../../core/panel/panel-schema.ts";
import { type FacetSettings, type SettingName, settingsOn, withSetting } from "../../core/settings/settings.ts";
import { optionViews } from "./option-views.ts";

describe("options as they are drawn", () => {
  const light = lightRow;
  const set = <K extends SettingName>(name: K, value: FacetSettings[K]): FacetRow => ({
    ...light,
    settings: withSetting(light.settings, name, value),
  });
  const views = (row: typeof light, selection: Selection) => {
    const panel = { ...demoPanel, rows: demoPanel.rows.map((one) => (one.id === row.id ? row : one)) };
    const state = stateFor(panel, selection);
    const answer = state.answer.facets.light;
    return answer
      ? optionViews(state, row, { display: "check-boxes", settings: settingsOn(row.settings, "wide") }, answer)
      : [];
  };
  const pots = chosen("category", "pots");

  it("fade, stay or drop out where they lead nowhere", () => {
    expect(views(light, pots).map(({ faded, count }) => [faded, count])).toEqual([
      [true, 0],
      [true, 0],
      [true, 0],
    ]);
    expect(views(set("emptyOptions", "keep"), pots).map(({ faded }) => faded)).toEqual([false, false, false]);
    expect(views(set("emptyOptions", "drop"), pots)).toEqual([]);
    // Choices stay, so that they can be removed.
    const both = { text: "", choices: { ...pots.choices, light: { options: ["shade"] } } };
    expect(views(set("emptyOptions", "drop"), both).map(({ id }) => id)).toEqual(["shade"]);
  });

  it("are counted as the designer wants, and never change their order", () => {
    const seeds = chosen("category", "seeds");
    const order = (row: typeof light, selection: Selection) => views(row, selection).map(({ id }) => id);
    expect(order(light, seeds)).toEqual(order(light, emptySelection));
    expect(views(set("counting", "steady"), seeds).map(({ count }) => count)).toEqual(
      views(light, emptySelection).map(({ count }) => count),
    );
    expect(views(set("counting", "none"), seeds).every(({ count }) => count === undefined)).toBe(true);
  });
});

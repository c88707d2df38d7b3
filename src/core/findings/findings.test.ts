import { describe, expect, it } from "vitest";
import { find, nursery, panelOf, twentyOne } from "../../../tests/mended.ts";
import { emptyPanel, newFacet } from "../panel/panel.ts";
import { findingKinds } from "./findings.ts";

describe("findings", () => {
  it("tell their level, and those that need a browser's measures find nothing without", async () => {
    const panel = panelOf(
      newFacet("e", "empty", "check-boxes", "any"),
      newFacet("b", "size", "check-boxes", "any", { foldAfter: { wide: 0 } }),
    );
    const measured = findingKinds.filter(({ needs }) => needs === "measures").map(({ name }) => name);
    const found = await find(twentyOne, panel);
    expect(measured.length).toBeGreaterThan(1);
    expect(found.filter(({ kind }) => measured.includes(kind))).toEqual([]);
    expect(found.find(({ kind }) => kind === "no-values")?.level).toBe("error");
    expect(new Set(findingKinds.map(({ name }) => name)).size).toBe(findingKinds.length);
  });

  it("none, where nothing is wrong", async () => {
    const panel = panelOf(newFacet("l", "category", "tree", "tree"), newFacet("a", "availability", "switch", "any"));
    expect(await find(nursery, panel)).toEqual([]);
    expect(await find(nursery, emptyPanel("Empty"))).toEqual([]);
  });
});

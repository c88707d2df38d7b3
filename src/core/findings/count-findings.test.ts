import { describe, expect, it } from "vitest";
import { find, mended, nursery, panelOf } from "../../../tests/mended.ts";
import { newFacet } from "../panel/panel.ts";

describe("findings about counts", () => {
  it("counts that ignore what is chosen, with what they lead to", async () => {
    const panel = panelOf(
      newFacet("l", "light", "check-boxes", "any", { counting: "steady" }),
      newFacet("c", "category", "tree", "tree"),
    );
    expect(await mended(nursery, panel, "steady-counts")).toMatch(/^Light: its counts ignore/);
    const pots = { text: "", choices: { category: { options: ["pots"] } } };
    expect(await mended(nursery, panel, "steady-counts", pots)).toBe(
      "Light: 3 counts ignore the current choices; “Full sun 92” actually finds 0.",
    );
  });

  it("options that lead to nothing and look like the others", async () => {
    const panel = panelOf(
      newFacet("l", "light", "check-boxes", "any", { emptyOptions: "keep" }),
      newFacet("c", "category", "tree", "tree"),
    );
    expect((await find(nursery, panel)).map(({ kind }) => kind)).not.toContain("dead-ends-kept");
    expect(
      await mended(nursery, panel, "dead-ends-kept", { text: "", choices: { category: { options: ["pots"] } } }),
    ).toBe("Light: 3 of 3 options have no products now but look like the others.");
  });

  it("sold-out variants that cannot be left out", async () => {
    expect(await mended(nursery, panelOf(newFacet("l", "light", "check-boxes", "any")), "sold-out-stay")).toBe(
      "148 of 799 variants are sold out, and shoppers can’t filter them out.",
    );
  });

  it("all-of where most pairs find nothing", async () => {
    expect(await mended(nursery, panelOf(newFacet("b", "brand", "check-boxes", "all")), "all-of-dead-pairs")).toBe(
      "Brand needs all chosen options to match, but 15 of 15 pairs of its most common options have no products.",
    );
  });
});

import { describe, expect, it } from "vitest";
import { mended, nursery, panelOf } from "../../../tests/mended.ts";
import { emptySelection } from "../engine/selection.ts";
import { newFacet } from "../panel/panel.ts";
import { LocalFacts } from "../profile/local-facts.ts";
import { findFindings } from "./findings.ts";

describe("findings about heights and widths", () => {
  it("a list that fills the screen", async () => {
    const panel = panelOf(newFacet("b", "brand", "check-boxes", "any", { foldAfter: { wide: 0 } }));
    const measure = { rows: { b: 700 }, panel: 900, screen: 800, bars: 0, products: 200 };
    expect(await mended(nursery, panel, "too-high", emptySelection, { wide: measure })).toBe(
      "Brand is 700 px high on wide, 88% of the screen.",
    );
  });

  it("a share of the width that is too small for a word, on the bands where it is", async () => {
    const third = newFacet("f", "flower-colour", "check-boxes", "any", { share: { wide: "third" } });
    const panel = { ...panelOf(third), placement: { wide: "above" as const } };
    expect(await mended(nursery, panel, "squeezed")).toBe(
      "Flower colour has ⅓ of the width on slim, about 88 px, but “Burgundy” needs about 116 px.",
    );
    const stacked = newFacet("f", "flower-colour", "check-boxes", "any", { share: { wide: "third", slim: "full" } });
    const found = await findFindings(new LocalFacts(nursery), { ...panel, rows: [stacked] }, emptySelection);
    expect(found.filter(({ kind }) => kind === "squeezed")).toEqual([]);
  });

  it("a row above the products that is too high to stay in sight", async () => {
    const panel = {
      ...panelOf(newFacet("b", "brand", "dropdown", "any")),
      placement: { wide: "above" as const },
      behaviour: { sticky: { wide: true } },
    };
    const told = async (height: number) => {
      const wide = { rows: {}, panel: height, screen: 708, bars: 92, products: 400 };
      const found = await findFindings(new LocalFacts(nursery), panel, emptySelection, { measures: { wide } });
      return found.filter(({ kind }) => kind === "sticky-row").map(({ words }) => words);
    };
    expect(await told(228)).toEqual([]);
    expect(await told(236)).toEqual([
      "On wide the panel is 236 px high, which leaves 59% of the screen. It scrolls away, since a sticky row must leave 60%.",
    ]);
  });

  it("a phone with all of the panel above the products", async () => {
    const panel = {
      ...panelOf(newFacet("b", "brand", "check-boxes", "any")),
      placement: { wide: "left" as const, slim: "absent" as const },
    };
    const above = { ...panel, placement: { wide: "left" as const, slim: "above" as const } };
    expect(
      await mended(nursery, above, "far-products", emptySelection, {
        slim: { rows: {}, panel: 1800, screen: 844, bars: 0, products: 2110 },
      }),
    ).toBe("On a phone the first product is 2110 px down, 2.5 screens below the top.");
  });
});

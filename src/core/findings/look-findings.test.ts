import { describe, expect, it } from "vitest";
import { readCatalogue } from "../catalogue/read.ts";
import { edited } from "../document/edit.ts";
import { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import { emptySelection } from "../engine/selection.ts";
import type { TokenValues } from "../look/resolve.ts";
import { emptyPanel, newFacet } from "../panel/panel.ts";
import type { FacetRow, PanelDocument, Row } from "../panel/panel-schema.ts";
import { LocalFacts } from "../profile/local-facts.ts";
import { profileField } from "../profile/profile.ts";
import { findFindings } from "./findings.ts";
import { fixEdit } from "./fix.ts";

const index = new CatalogueIndex(
  readCatalogue(new TextEncoder().encode("product_id,title,size\np1,One,S\np2,Two,M\np3,Three,S\n")).catalogue,
);
const facts = new LocalFacts(index);
const panelOf = (...rows: Row[]): PanelDocument => ({ ...emptyPanel("Trial"), rows });
const profileOf = (key: string) => {
  const field = index.field(key);
  return field && profileField(index, field);
};

describe("findings of a panel in its look", () => {
  it("an option style that the look does not have", async () => {
    const row = { ...newFacet("s", "size", "tiles", "any"), style: "pills" };
    const look = { values: {}, dark: {}, styles: [] };
    const asked = (panel: PanelDocument) => findFindings(facts, panel, emptySelection, { look });
    const [gone] = (await asked(panelOf(row))).filter(({ kind }) => kind === "style-gone");
    expect(gone?.words).toBe(
      "Size uses the option style “pills”, which its look no longer has. It is shown without it.",
    );
    const edit = gone && fixEdit(panelOf(row), gone, profileOf);
    const now = edit ? edited(panelOf(row), edit) : panelOf(row);
    expect((await asked(now)).filter(({ kind }) => kind === "style-gone")).toEqual([]);
    const there = { ...look, styles: [{ id: "pills", name: "Pills", values: {} }] };
    const found = await findFindings(facts, panelOf(row), emptySelection, { look: there });
    expect(found.map(({ kind }) => kind)).not.toContain("style-gone");
  });

  it("what is hard to see in the look, and apart from it in what a facet sets apart", async () => {
    const kind = "hard-to-see";
    const words = async (rows: FacetRow[], values: TokenValues) => {
      const look = {
        values,
        dark: {},
        styles: [
          {
            id: "pale",
            name: "Pale",
            values: { "tile.ink": { wide: "#aaaaaa" }, "tile.ground.hovered": { wide: "#ffffff" } },
          },
        ],
      };
      const found = await findFindings(facts, panelOf(...rows), emptySelection, { look });
      return found.filter((one) => one.kind === kind).map((one) => [one.row, one.words]);
    };
    const plain = newFacet("s", "size", "tiles", "any");
    expect(await words([plain], {})).toEqual([]);
    // Contrast of #aaaaaa on white is 2.32:1. Source: WCAG 2.2's formula, worked by hand.
    const [pale] = await words([{ ...plain, style: "pale" }], {});
    expect(pale?.[0]).toBe("s");
    expect(pale?.[1]).toMatch(
      /^The own style of Size is hard to see or to tap in .*the worst is “Tile: text”, 2\.3:1 where 4\.5:1 is needed\.$/,
    );
    // A fault of the look is told once, not again for each facet.
    const low = { "option.ink": { wide: "#cccccc" } };
    const inAll = await words([{ ...plain, look: { "tile.radius": { wide: 3 } } }], low);
    expect(inAll.map(([row]) => row)).toEqual([undefined]);
    expect(inAll[0]?.[1]).toContain("The look is hard to see or to tap in ");
  });
});

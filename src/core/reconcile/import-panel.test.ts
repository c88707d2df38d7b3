import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { demoPanel } from "../../../demo/panel.ts";
import { readCatalogue } from "../catalogue/read.ts";
import { checkDocument } from "../document/kind.ts";
import { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import { panelKind } from "../panel/kind.ts";
import { emptyPanel, facetRows, newFacet } from "../panel/panel.ts";
import type { FacetRow } from "../panel/panel-schema.ts";
import { profileField } from "../profile/profile.ts";
import { type CarryTarget, importPanel, matchFacets } from "./import-panel.ts";

function targetsOf(csv: string | Buffer): CarryTarget[] {
  const bytes = typeof csv === "string" ? new TextEncoder().encode(csv) : csv;
  const index = new CatalogueIndex(readCatalogue(bytes).catalogue);
  return index.catalogue.fields.map((field) => ({
    profile: profileField(index, field),
    values: new Set(index.options(field.key, field.kind === "path").options.map(({ id }) => id)),
  }));
}
const targetOf = (targets: readonly CarryTarget[]) => (key: string) =>
  targets.find(({ profile }) => profile.field.key === key);
const panelOf = (...rows: FacetRow[]) => ({ ...emptyPanel("Carried"), rows });
const chosen = (matches: ReturnType<typeof matchFacets>) => matches.map(({ field, to }) => [field, to]);

/** Another shop of pots, with its own words. */
const pottery = [
  "product_id,title,category,Pot colour,Height,Light needed,price,Maker",
  "a,Ada,Pots > Clay,Moss,12,shade,10,Fir",
  "b,Bea,Pots > Clay,Brick,30,half shade,12,Oak",
  "c,Cleo,Pots > Tin,Moss,9,full sun,8,Fir",
].join("\n");

describe("a panel taken to another shop", () => {
  it("is itself where the fields are the same", () => {
    const targets = targetsOf(readFileSync("demo/nursery.csv"));
    const matches = matchFacets(demoPanel, targets);
    expect(matches.every(({ field, to, confidence }) => field === to && confidence > 0.9)).toBe(true);
    const to = new Map(matches.flatMap(({ row, to: key }): [string, string][] => (key ? [[row, key]] : [])));
    const { document, left } = importPanel(demoPanel, to, targetOf(targets));
    expect(document.rows).toEqual(demoPanel.rows);
    expect(left).toEqual([]);
  });

  it("matches by name, kind and values, and a field is taken once", () => {
    const light: FacetRow = {
      ...newFacet("l", "sun-and-shade", "check-boxes", "any"),
      options: {
        show: "only",
        picked: [
          { id: "shade", label: "Shade", products: 4 },
          { id: "half shade", label: "Half shade", products: 4 },
        ],
        labels: {},
        merges: [],
        byHand: [],
      },
    };
    const panel = panelOf(
      newFacet("c", "category", "tree", "tree"),
      newFacet("p", "price", "slider", "range"),
      newFacet("h", "mature-height", "slider", "range"),
      newFacet("k", "pot-colour", "check-boxes", "any"),
      light,
      newFacet("x", "pet-safe", "switch", "any"),
    );
    expect(chosen(matchFacets(panel, targetsOf(pottery)))).toEqual([
      ["category", "category"],
      ["price", "price"],
      ["mature-height", "height"],
      ["pot-colour", "pot-colour"],
      // Its name says nothing; its values do.
      ["sun-and-shade", "light-needed"],
      ["pet-safe", undefined],
    ]);
  });

  it("never puts a range over words or a tree over numbers", () => {
    const panel = panelOf(newFacet("a", "maker", "slider", "range"), newFacet("b", "price", "tree", "tree"));
    expect(chosen(matchFacets(panel, targetsOf(pottery)))).toEqual([
      ["maker", undefined],
      ["price", undefined],
    ]);
    const { document, left } = importPanel(panel, new Map([["a", "maker"]]), targetOf(targetsOf(pottery)));
    expect(document.rows).toEqual([]);
    expect(left).toEqual(["maker: no similar field.", "price: no similar field."]);
  });

  it("says what does not come along, and is a valid panel", () => {
    const named = { id: "gone", label: "Gone", products: 3 };
    const row: FacetRow = {
      ...newFacet("k", "colour", "swatches", "any"),
      style: "pills",
      options: {
        show: "except",
        picked: [named, { id: "moss", label: "Moss", products: 1 }],
        labels: { gone: { text: "Away" } },
        merges: [],
        byHand: [],
      },
    };
    const panel = { ...panelOf(row), look: "theirs" };
    const { document, left } = importPanel(panel, new Map([["k", "pot-colour"]]), targetOf(targetsOf(pottery)));
    expect(left).toEqual([
      "The look “theirs”: this shop’s look is used instead.",
      "colour: the option style “pills” doesn’t exist here.",
      "colour: 1 value that no product has here.",
    ]);
    expect(checkDocument(panelKind, JSON.parse(JSON.stringify(document)))).toEqual(document);
    const [carried] = facetRows(document);
    expect(carried).toMatchObject({ field: "pot-colour", options: { picked: [{ id: "moss" }], labels: {} } });
  });

  it("takes another display where the field does not suit its own", () => {
    const panel = panelOf(newFacet("s", "maker", "dates", "range"), newFacet("t", "light", "switch", "any"));
    const { document, left } = importPanel(panel, new Map([["t", "light-needed"]]), targetOf(targetsOf(pottery)));
    expect(facetRows(document).map(({ id }) => id)).toEqual(["t"]);
    expect(facetRows(document)[0]?.display.wide).not.toBe("switch");
    expect(left).toContain("light: its display doesn’t suit this field.");
  });
});

import { readCatalogue } from "../src/core/catalogue/read.ts";
import { CatalogueIndex } from "../src/core/engine/index/catalogue-index.ts";
import { pagesKind } from "../src/core/page/kind.ts";
import { emptyPanel, newFacet } from "../src/core/panel/panel.ts";
import type { FacetRow, PanelDocument } from "../src/core/panel/panel-schema.ts";
import { LocalFacts } from "../src/core/profile/local-facts.ts";
import type { Assumptions } from "../src/core/rehearsal/assumptions.ts";
import { pageScene } from "../src/core/rehearsal/page-scene.ts";
import { type Rehearsing, rehearsed } from "../src/core/rehearsal/rehearse.ts";

/** The facts of a catalogue written down. */
export const factsOf = (csv: string | Uint8Array) =>
  new LocalFacts(
    new CatalogueIndex(readCatalogue(typeof csv === "string" ? new TextEncoder().encode(csv) : csv).catalogue),
  );
const pages = pagesKind.fresh("");
/** The shop's page with a panel on it. */
export const sceneOn = (facts: LocalFacts, panel: PanelDocument, band: "wide" | "slim" = "wide") => {
  const scene = pageScene(facts, "/", pages, new Map([["one", panel]]), band);
  if (!scene) throw new Error("A shop has a page of all its products.");
  return scene;
};
export const panelOf = (...rows: FacetRow[]): PanelDocument => ({ ...emptyPanel("One"), rows });
/** A facet of check boxes. */
export const boxes = (key: string) => newFacet(`f-${key}`, key, "check-boxes", "any");
/** Everybody knows everything, nobody is wrong, and only the first card is looked at. */
export const knowing = (keys: readonly string[], values: Assumptions["values"] = {}): Assumptions => ({
  values: { first: 1, mistaken: 0, maxMoves: 50, maxSeconds: 3600, ...values },
  knows: Object.fromEntries(keys.map((key) => [key, 1])),
});
/** The ways of shoppers through a panel. */
export const run = (facts: LocalFacts, panel: PanelDocument, more: Rehearsing = {}, band: "wide" | "slim" = "wide") =>
  rehearsed(facts.engine, sceneOn(facts, panel, band), more);

export const keys4 = ["a", "b", "c", "d"];
/** Sixteen products, told apart by four facets of two values: a balanced tree of choices. */
export const sixteen = factsOf(
  [
    "product_id,title,a,b,c,d",
    ...Array.from(
      { length: 16 },
      (_, n) => `p${n},Product ${n},${keys4.map((_key, bit) => `v${(n >> bit) & 1}`).join(",")}`,
    ),
  ].join("\n"),
);
export const four = panelOf(...keys4.map(boxes));

import { readFileSync } from "node:fs";
import { demoPanel } from "../demo/panel.ts";
import { readCatalogue } from "../src/core/catalogue/read.ts";
import { CatalogueIndex } from "../src/core/engine/index/catalogue-index.ts";
import { pagesKind } from "../src/core/page/kind.ts";
import { emptyPanel, newFacet } from "../src/core/panel/panel.ts";
import type { PanelDocument } from "../src/core/panel/panel-schema.ts";
import { LocalFacts } from "../src/core/profile/local-facts.ts";
import { pageScene } from "../src/core/rehearsal/page-scene.ts";
import { rehearsed } from "../src/core/rehearsal/rehearse.ts";
import { fieldKeys, syntheticCatalogue, syntheticProducts } from "./synthetic.ts";
import { type Timing, timing } from "./timing.ts";

/** The time that 2,000 trial shoppers take, on the demo's page and over 20,000 products with three variants each. */
export function benchRehearsal(): Timing[] {
  const demo = new LocalFacts(new CatalogueIndex(readCatalogue(readFileSync("demo/nursery.csv")).catalogue));
  const rows = fieldKeys.map((key, f) => newFacet(`f${f}`, key, "check-boxes", "any"));
  const large = new LocalFacts(new CatalogueIndex(syntheticCatalogue(syntheticProducts(20_000, 3))));
  return [
    sent("2,000 trial shoppers, the demo's page", demo, demoPanel, 2000),
    sent("2,000 trial shoppers, ten facets over 20,000 × 3", large, { ...emptyPanel("Ten"), rows }, 20_000),
  ];
}

function sent(name: string, facts: LocalFacts, panel: PanelDocument, aim: number): Timing {
  const times = [1, 2, 3].map((seed) => {
    const start = performance.now();
    const scene = pageScene(facts, "/", pagesKind.fresh(""), new Map([["one", panel]]), "slim");
    if (!scene || rehearsed(facts.engine, scene, { seed }).length !== 2000) throw new Error("Not all were sent.");
    return performance.now() - start;
  });
  return timing(name, times, aim);
}

/** Visits for the demo, made by trial shoppers on its published pages; marked as made up wherever they show. */
import type { Visit } from "../src/core/api/visit.ts";
import type { Catalogue } from "../src/core/catalogue/catalogue.ts";
import { mendsKind } from "../src/core/catalogue/mend/kind.ts";
import { pageScene } from "../src/core/rehearsal/page-scene.ts";
import { rehearsed } from "../src/core/rehearsal/rehearse.ts";
import { seededInteger, seededRandom } from "../src/core/rehearsal/seeded-random.ts";
import type { Walk } from "../src/core/rehearsal/walk.ts";
import { shopFactsFor } from "../src/core/report/check-shop.ts";
import { demoPages } from "./pages.ts";
import { demoAside, demoPanel, demoQuestions } from "./panel.ts";

/** Name of the file with them. */
export const visitsName = "visits.jsonl";

/** How many tabs come to a page on a band. */
const tabs = [
  { page: "/", band: "wide", tabs: 220 },
  { page: "/", band: "slim", tabs: 150 },
  { page: "/categories/plants", band: "wide", tabs: 60 },
] as const;
/** Words that shoppers look for in vain, and the share of shoppers who do. */
const vain = ["rosebush", "pumpkin", "trellis 3m", "bonsai"];
const searching = 0.05;
/** The share of shoppers who look at the products without a choice. */
const looking = 0.45;
const begin = Date.parse("2026-11-23T08:00:00Z");

/** The lines of the demo's visits. */
export function demoVisits(catalogue: Catalogue): string {
  const facts = shopFactsFor({ catalogue, mends: mendsKind.fresh(""), pages: demoPages });
  const panels = new Map([
    ["climber-finder", demoPanel],
    ["three-questions", demoQuestions],
    ["beside-the-text", demoAside],
  ]);
  const lines: Visit[] = [];
  for (const { page, band, tabs: shoppers } of tabs) {
    const scene = pageScene(facts, page, demoPages, panels, band);
    if (!scene) throw new Error(`The demo has no page ${page}.`);
    for (const walk of rehearsed(facts.engine, scene, { shoppers, seed: 7 })) {
      const names = [page, band, walk.n] as const;
      const tab = `made-up-${page.length}-${band}-${walk.n}`;
      const start = begin + seededInteger(6 * 24 * 3600, "start", ...names) * 1000;
      const tell = (second: number, act: Visit["act"], line: Partial<Visit> = {}) =>
        lines.push({
          format: 1,
          at: `${new Date(start + Math.round(second) * 1000).toISOString().slice(0, 19)}Z`,
          tab,
          edition: 1,
          page,
          band,
          act,
          ...line,
        });
      tell(0, "see");
      if (seededRandom("searches", ...names) < searching) {
        const text = vain[seededInteger(vain.length, "words", ...names)];
        tell(9, "search", { text, after: 0, ms: 24 });
        tell(9, "nothing", { text });
      } else if (seededRandom("looks", ...names) > looking)
        tellWalk(walk, tell, facts.index.catalogue.productIds[walk.target] ?? "");
    }
  }
  return lines
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0))
    .map((line) => `${JSON.stringify(line)}\n`)
    .join("");
}

/** Tells the choices of a trial shopper, and the product that was opened. */
function tellWalk(
  walk: Walk,
  tell: (second: number, act: Visit["act"], line?: Partial<Visit>) => void,
  product: string,
): void {
  let second = 0;
  let before: Walk["moves"][number]["selection"]["choices"] = {};
  for (const { panel, selection, before: outOf, after, seconds } of walk.moves) {
    second += seconds;
    const field = Object.keys(selection.choices).find((key) => selection.choices[key] !== before[key]);
    const choice = field === undefined ? undefined : selection.choices[field];
    before = selection.choices;
    if (field === undefined || !choice) continue;
    const chosen = "options" in choice ? [...choice.options] : choice;
    tell(second, "choose", {
      panel,
      field,
      chosen,
      before: outOf,
      after,
      ms: 12 + seededInteger(40, "ms", field, walk.n, after),
    });
    // Some think better of it.
    if (seededRandom("removes", field, walk.n) < 0.06)
      tell(second + 4, "remove", { panel, field, chosen, before: after, after: outOf, ms: 18 });
  }
  if (walk.ending === "arrived") tell(walk.seconds, "open", { text: product });
}

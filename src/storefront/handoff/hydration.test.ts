import { describe, expect, it } from "vitest";
import { demoPages } from "../../../demo/pages.ts";
import { demoPanel, demoQuestions } from "../../../demo/panel.ts";
import { bootAt, engine, lightRow, pageAt } from "../../../tests/demo-page.ts";
import { edited } from "../../core/document/edit.ts";
import { startPlace } from "../../core/page/browse-state/browse-state.ts";
import { setSetting } from "../../core/panel/edit.ts";
import { facetRows } from "../../core/panel/panel.ts";
import { bands } from "../../core/settings/band.ts";
import { facetsOf, type PagePanel } from "../page/page-panel.ts";
import { answerAt } from "../page/page-state.ts";
import { drawPanel, stillPage } from "./draw.tsx";
import { drawnAnswers, islandFor } from "./hydration.ts";
import type { Island } from "./wire.ts";

const finder: PagePanel = { slug: "finder", panel: demoPanel };
const questions: PagePanel = { slug: "questions", panel: demoQuestions };
const bornWith = (panels: PagePanel[]) => bootAt("/", panels, demoPages);

/** The data in the markup of each panel of a page, as a browser reads it. */
async function islandsOf(panels: PagePanel[], drawn = "now"): Promise<Island[]> {
  const still = await stillPage(bornWith(panels), drawn, engine);
  return panels.map((one) => {
    const { html } = drawPanel(still, one, "/trellis/", undefined);
    return JSON.parse(/<script type="application\/json">(.*?)<\/script>/s.exec(html)?.[1] ?? "");
  });
}

/** An answer as it is after a way through JSON. */
const plain = (value: unknown) =>
  JSON.parse(JSON.stringify(value, (_, part) => (ArrayBuffer.isView(part) ? [...(part as Uint32Array)] : part)));

describe("what panels of a handoff wake from", () => {
  it.each([[[finder]], [[finder, questions]]])("is what an engine answers while nothing is chosen", async (panels) => {
    const islands = await islandsOf(panels);
    const born = bornWith(panels);
    const fields = new Map(born.fields.map((field) => [field.key, field]));
    for (const band of bands) {
      const asking = { shown: born.page, panels, band, fields, shop: born.shop };
      const { answer } = await answerAt(engine, asking, startPlace);
      const drawn = drawnAnswers(islands, "now", band);
      expect(plain(drawn)).toEqual(plain({ answer: { ...answer, products: [] }, elsewhere: {} }));
    }
  });

  it("is told once where all bands are answered alike, and for each where they are not", async () => {
    const [alike] = await islandsOf([finder]);
    expect(alike?.answers?.map((one) => one.bands)).toEqual([[...bands]]);
    const price = facetRows(demoPanel).find(({ field }) => field === "price");
    if (!price) throw new Error("The demo asks for a price.");
    const ranged: PagePanel = {
      slug: "finder",
      panel: {
        ...demoPanel,
        rows: demoPanel.rows.map((row) =>
          row.id === price.id ? { ...price, display: { wide: "slider", slim: "price-ranges" } } : row,
        ),
      },
    };
    expect(facetsOf([ranged], "wide")).not.toEqual(facetsOf([ranged], "slim"));
    const [other] = await islandsOf([ranged]);
    expect(other?.answers?.map((one) => one.bands)).toEqual([["wide", "medium"], ["slim"]]);
  });

  it("has each panel's own facets and no products, since cards come with the catalogue", async () => {
    const [, own] = await islandsOf([finder, questions]);
    const [told] = own?.answers ?? [];
    expect(Object.keys(told?.answer.facets ?? {}).sort()).toEqual(["flower-colour", "light", "pet-safe"]);
    expect(told?.answer.products).toEqual([]);
  });

  it("is nothing where a panel was drawn from other files, or by an older handoff", async () => {
    const [one, other] = await islandsOf([finder, questions]);
    const [old] = await islandsOf([questions], "before");
    if (!one || !other || !old) throw new Error("Each panel has an island.");
    const { answers: _none, ...silent } = other;
    expect(drawnAnswers([one, old], "now", "wide")).toBeUndefined();
    expect(drawnAnswers([one, silent], "now", "wide")).toBeUndefined();
    expect(drawnAnswers([], "now", "wide")).toBeUndefined();
    // A listing says no answer, and hinders none.
    const { panel: _panel, answers: _answers, ...listing } = one;
    expect(drawnAnswers([listing, one], "now", "wide")?.answer.total).toBe(240);
  });

  it("is one page's, and says so where it is not", async () => {
    const [one] = await islandsOf([finder]);
    if (!one) throw new Error("The panel has an island.");
    expect(islandFor([one])).toBe(one);
    expect(() => islandFor([])).toThrow(/which page it is for/);
    expect(() => islandFor([one, { ...one, page: pageAt("/collections/gifts", demoPages) }])).toThrow(
      /different pages: \/, \/collections\/gifts/,
    );
  });
});

it("a panel that is changed says another answer only where it asks something else", async () => {
  const named: PagePanel = {
    slug: "finder",
    panel: edited(demoPanel, setSetting(lightRow.id, "hint", "From the label", "Light")),
  };
  const [before] = await islandsOf([finder]);
  const [after] = await islandsOf([named]);
  expect(after?.answers).toEqual(before?.answers);
});

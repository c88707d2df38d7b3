import { describe, expect, it } from "vitest";
import { nursery, panelOf } from "../../../tests/mended.ts";
import { wilsonInterval } from "../catalogue/numbers/wilson.ts";
import { edited } from "../document/edit.ts";
import { emptySelection } from "../engine/selection.ts";
import { newFacet } from "../panel/panel.ts";
import { LocalFacts } from "../profile/local-facts.ts";
import { findFindings } from "./findings.ts";
import { fixEdit } from "./fix.ts";
import type { PageUse, VisitUse } from "./visit-use.ts";

const panel = panelOf(
  newFacet("l", "light", "check-boxes", "any"),
  newFacet("b", "brand", "check-boxes", "any"),
  newFacet("p", "pot-size", "tiles", "any"),
);
const use = (used: number, visits: number, chosen = used, removed = 0): VisitUse => {
  const [low, high] = wilsonInterval(used, visits);
  const [removedLow] = wilsonInterval(removed, chosen);
  return { used, low, high, chosen, removed, removedLow, unfolded: 0, left: 0, leftLow: 0 };
};
const page = (visits: number, fields: Record<string, VisitUse>, more: Partial<PageUse> = {}): PageUse => ({
  visits,
  madeUp: false,
  fields: new Map(Object.entries(fields)),
  soughtInVain: [],
  ...more,
});
const ofVisits = ["rarely-used", "often-removed", "often-left", "used-below", "sought-in-vain"];
const found = async (visits: PageUse | undefined, of = panel) =>
  (await findFindings(new LocalFacts(nursery), of, emptySelection, { visits })).filter(({ kind }) =>
    ofVisits.includes(kind),
  );
const words = async (visits: PageUse | undefined) => (await found(visits)).map((one) => one.words);

describe("findings about what real shoppers did", () => {
  it("are not drawn without visits, or from a few", async () => {
    expect(await words(undefined)).toEqual([]);
    expect(await words(page(99, { brand: use(50, 99, 50, 40) }))).toEqual([]);
  });

  it("a facet that is hardly used, whether once or never", async () => {
    const visits = page(1000, { light: use(400, 1000), brand: use(9, 1000), "pot-size": use(0, 1000) });
    expect(await words(visits)).toEqual([
      "Brand was used in 9 of 1000 visits to this page.",
      "Pot size was used in 0 of 1000 visits to this page.",
    ]);
    // Too few visits to know: 0 of 120 may be up to 3.1%.
    expect(await words(page(120, { light: use(60, 120), brand: use(30, 120), "pot-size": use(0, 120) }))).toEqual([]);
    // What was not on the page could not be used.
    expect(await words(page(1000, { light: use(400, 1000) }))).toEqual([]);
  });

  it("a facet that is often opened and left", async () => {
    const left = (hits: number, of: number) => ({ unfolded: of, left: hits, leftLow: wilsonInterval(hits, of)[0] });
    const lightIs = (hits: number, of: number) =>
      page(1000, {
        light: { ...use(400, 1000), ...left(hits, of) },
        brand: use(390, 1000),
        "pot-size": use(380, 1000),
      });
    expect(await words(lightIs(70, 100))).toEqual([
      "Light was opened in 100 visits, and left without a choice in 70. Check whether its title and options match.",
    ]);
    // 7 of 10 may be a third.
    expect(await words(lightIs(7, 10))).toEqual([]);
    expect(await words(lightIs(40, 100))).toEqual([]);
  });

  it("choices that are removed again", async () => {
    const visits = page(300, {
      light: use(120, 300, 140, 70),
      brand: use(110, 300, 120, 12),
      "pot-size": use(100, 300),
    });
    expect(await words(visits)).toEqual([
      "In visits, 70 of 140 choices in Light were removed again. Check what its options find.",
    ]);
  });

  it("a facet below one that is used less, unless it may be chance; its fix moves it", async () => {
    const visits = page(500, { light: use(60, 500), brand: use(55, 500), "pot-size": use(200, 500) });
    const [one, ...others] = await found(visits);
    expect(others).toEqual([]);
    expect(one?.words).toBe("Pot size was used in 200 of 500 visits, but is below Light, which was used in 60.");
    const edit = one && fixEdit(panel, one, () => undefined);
    const moved = edit ? edited(panel, edit) : panel;
    expect(moved.rows.map(({ id }) => id)).toEqual(["p", "l", "b"]);
    expect(edit?.words).toBe("Move Pot size above Light");
    expect(await found(visits, moved)).toEqual([]);
  });

  it("words that found nothing for several shoppers", async () => {
    const all = { light: use(60, 150), brand: use(60, 150), "pot-size": use(60, 150) };
    const sought = (times: number) => page(150, all, { soughtInVain: [{ words: "rosebush", visits: times }] });
    expect(await words(sought(4))).toEqual(["Shoppers searched this page in vain for “rosebush” (4 visits)."]);
    expect(await words(sought(2))).toEqual([]);
    // What was made up is never told as real.
    const madeUp = page(1000, { light: use(400, 1000), brand: use(9, 1000) }, { madeUp: true });
    expect(await words(madeUp)).toContain("Brand was used in 9 of 1000 made-up visits to this page.");
  });
});

import { readFileSync } from "node:fs";
import { describe, expect, it, vi } from "vitest";
import { demoPanel } from "../../../demo/panel.ts";
import { readCatalogue } from "../../core/catalogue/read.ts";
import { edited } from "../../core/document/edit.ts";
import { LocalFacts } from "../../core/facts/local-facts.ts";
import { CatalogueIndex } from "../../core/index/catalogue-index.ts";
import type { Answer } from "../../core/match/answer.ts";
import type { Engine } from "../../core/match/engine.ts";
import { countsOf } from "../../core/match/engine.ts";
import { LocalEngine } from "../../core/match/local-engine.ts";
import type { Question, Selection } from "../../core/match/question.ts";
import { emptySelection } from "../../core/match/selection.ts";
import { pagesKind } from "../../core/page/kind.ts";
import { usualLayout } from "../../core/page/layout.ts";
import { shownPage } from "../../core/page/shown-page.ts";
import { removeRow, setMode } from "../../core/panel/edit.ts";
import { engineFacets, facetRows } from "../../core/panel/panel.ts";
import type { FacetRow, PanelDocument } from "../../core/panel/panel-schema.ts";
import { nextPlace, startPlace } from "../../core/place/place.ts";
import { type FacetSettings, type SettingName, settingsOn, withSetting } from "../../core/setting/settings.ts";
import { chipsOf } from "../panel/chips.ts";
import { formatterOf, money } from "../panel/format.ts";
import { optionViews } from "../panel/option-views.ts";
import type { Boot } from "../shop/boot.ts";
import { drawPage } from "../shop/draw-page.tsx";
import { answerAt, firstState, type PlaceAnswer } from "./page-state.ts";
import { PageStore } from "./store.ts";

const index = new CatalogueIndex(readCatalogue(readFileSync("demo/nursery.csv")).catalogue);
const engine = new LocalEngine(index);
const swatches = {};
const page = shownPage("/", pagesKind.fresh(""), new LocalFacts(index).pageFacts(), "climber-finder");
if (!page) throw new Error("A shop has a page of all its products.");
const { bars, menu } = pagesKind.fresh("");
const panelsOf = (panel: PanelDocument) => [{ slug: "climber-finder", panel }];
const boot: Boot = {
  shop: {
    slug: "n",
    name: "Larkmoss <Nursery>",
    currency: "EUR",
    bars,
    menu,
    search: undefined,
    suggest: "/suggest?q=",
  },
  base: "/shop/n",
  page,
  fields: index.catalogue.fields,
  panels: panelsOf(demoPanel),
  limits: { medium: 750, wide: 1000 },
  swatches,
  language: "en",
  engine: "page",
  data: "",
  ask: "",
  stage: false,
};
const facets = engineFacets(demoPanel, "wide");
/** The engine here answers at once. */
const answered = (panel: PanelDocument, selection: Selection): PlaceAnswer => {
  const fields = new Map(boot.fields.map((field) => [field.key, field]));
  const asking = { shown: boot.page, panels: panelsOf(panel), band: "wide", fields, shop: boot.shop } as const;
  const found = answerAt(engine, asking, { ...startPlace, selection });
  if (found instanceof Promise) throw new Error("The engine took its time.");
  return found;
};
const stateFor = (panel: PanelDocument, selection: Selection = emptySelection) =>
  firstState({ ...boot, panels: panelsOf(panel) }, "wide", answered(panel, selection), "");
const toggling = (field: string, option: string) => ({ do: "toggle", facet: { field, mode: "any" }, option }) as const;
const wait = (ms = 0) => new Promise((done) => setTimeout(done, ms));
const storeFor = (with_: Engine = engine) => new PageStore(stateFor(demoPanel), with_);
const lightRow = facetRows(demoPanel).find(({ field }) => field === "light") as FacetRow;
const chosen = (field: string, ...options: string[]): Selection => ({ text: "", choices: { [field]: { options } } });

describe("the page's store", () => {
  it("starts again at the first page with every choice, and tells why it changed", () => {
    const store = storeFor();
    const heard = vi.fn();
    store.subscribe(heard);
    store.go({ ...store.state, page: 3 });
    store.perform(toggling("light", "shade"));
    expect(store.state.page).toBe(1);
    expect(store.state.answer.total).toBe(77);
    store.setWidth(400);
    expect(store.state.band).toBe("slim");
    expect(heard.mock.calls.map(([, change]) => change)).toEqual(["place", "place", "view"]);
  });

  it("takes a page beyond the last for the last", () => {
    const store = storeFor();
    store.go({ ...store.state, page: 999 });
    expect(store.state.page).toBe(Math.ceil(240 / usualLayout.size));
  });

  it("keeps what is chosen when the panel changes, as far as it has a meaning", () => {
    const store = storeFor();
    store.perform(toggling("light", "shade"));
    store.perform(toggling("light", "full sun"));
    store.setPanel("climber-finder", edited(demoPanel, setMode(lightRow, "one", "")));
    expect(store.state.selection).toEqual(chosen("light", "shade"));
    store.setPanel("climber-finder", edited(demoPanel, removeRow("f-light", "")));
    expect(store.state.selection).toEqual(emptySelection);
    expect(store.state.answer.total).toBe(240);
  });

  it("goes on from what was asked last, though its answer is still under way", async () => {
    const slow: Engine = {
      ask: (question: Question) => new Promise<Answer>((done) => setTimeout(() => done(engine.ask(question)))),
    };
    const store = storeFor(slow);
    const heard = vi.fn();
    store.subscribe(heard);
    store.perform(toggling("light", "shade"));
    store.setPanel("climber-finder", { ...demoPanel });
    store.setWidth(400);
    await wait(20);
    expect([store.state.selection, store.state.band, store.state.answer.total]).toEqual([
      chosen("light", "shade"),
      "slim",
      77,
    ]);
    store.setSelection(emptySelection);
    await wait(20);
    expect(heard.mock.calls.map(([, change]) => change)).toEqual(["place", "stage"]);
  });

  it("shows the answer to the last question, however late the others come", async () => {
    const waiting: (() => void)[] = [];
    const slow: Engine = {
      ask: (question: Question) => new Promise<Answer>((done) => waiting.push(() => done(engine.ask(question)))),
    };
    const store = storeFor(slow);
    store.perform({ do: "only", field: "light", choice: { options: ["shade"] } });
    store.perform({ do: "only", field: "light", choice: { options: ["full sun"] } });
    waiting[1]?.();
    waiting[0]?.();
    await wait();
    expect(store.state.selection).toEqual(chosen("light", "full sun"));
    expect(store.state.answer.total).toBe(92);
  });
});

describe("a slow engine", () => {
  it("loses none of three quick clicks, on either of two pages that share them", async () => {
    const slow: Engine = { ask: async (question: Question) => wait(15).then(() => engine.ask(question)) };
    const [one, other] = [storeFor(slow), storeFor(slow)];
    // As the bench does: what is chosen on a page goes to the other one, and not back to it.
    one.subscribe((state, change) => change === "place" && other.setSelection(state.selection));
    other.subscribe((state, change) => change === "place" && one.setSelection(state.selection));
    for (const option of ["shade", "full sun", "half shade"]) {
      one.perform(toggling("light", option));
      await wait(5);
    }
    const all = chosen("light", "shade", "full sun", "half shade");
    await vi.waitFor(() => expect([one.state.selection, other.state.selection]).toEqual([all, all]));
    expect(one.state.answer.total).toBe(engine.ask(countsOf(facets, all)).total);
  });

  it("that fails is asked again; until then the page keeps the last result and says so", async () => {
    vi.useFakeTimers();
    vi.spyOn(console, "error").mockImplementation(() => {});
    let broken = true;
    const engineDown: Engine = {
      ask: async (question: Question) => (broken ? Promise.reject(new Error("down")) : engine.ask(question)),
    };
    const store = storeFor(engineDown);
    store.perform(toggling("light", "shade"));
    await vi.advanceTimersByTimeAsync(10);
    expect([store.state.trouble, store.state.answer.total]).toEqual([true, 240]);
    await vi.advanceTimersByTimeAsync(5000);
    expect(store.state.trouble).toBe(true);
    broken = false;
    await vi.advanceTimersByTimeAsync(30_000);
    expect([store.state.trouble, store.state.answer.total, store.state.selection]).toEqual([
      false,
      77,
      chosen("light", "shade"),
    ]);
    vi.useRealTimers();
    vi.restoreAllMocks();
  });
});

describe("options as they are drawn", () => {
  const light = lightRow;
  const set = <K extends SettingName>(name: K, value: FacetSettings[K]): FacetRow => ({
    ...light,
    settings: withSetting(light.settings, name, value),
  });
  const views = (row: typeof light, selection: Selection) => {
    const panel = { ...demoPanel, rows: demoPanel.rows.map((one) => (one.id === row.id ? row : one)) };
    const state = stateFor(panel, selection);
    const answer = state.answer.facets.light;
    return answer ? optionViews(state, row, settingsOn(row.settings, "wide"), answer) : [];
  };
  const pots = chosen("category", "pots");

  it("fade, stay or drop out where they lead nowhere", () => {
    expect(views(light, pots).map(({ faded, count }) => [faded, count])).toEqual([
      [true, 0],
      [true, 0],
      [true, 0],
    ]);
    expect(views(set("deadEnd", "keep"), pots).map(({ faded }) => faded)).toEqual([false, false, false]);
    expect(views(set("deadEnd", "drop"), pots)).toEqual([]);
    // What is chosen stays, so that it can be taken back.
    const both = { text: "", choices: { ...pots.choices, light: { options: ["shade"] } } };
    expect(views(set("deadEnd", "drop"), both).map(({ id }) => id)).toEqual(["shade"]);
  });

  it("are counted as the designer wants, and never change their order", () => {
    const seeds = chosen("category", "seeds");
    const order = (row: typeof light, selection: Selection) => views(row, selection).map(({ id }) => id);
    expect(order(light, seeds)).toEqual(order(light, emptySelection));
    expect(views(set("counting", "steady"), seeds).map(({ count }) => count)).toEqual(
      views(light, emptySelection).map(({ count }) => count),
    );
    expect(views(set("counting", "none"), seeds).every(({ count }) => count === undefined)).toBe(true);
  });
});

describe("chips", () => {
  it("say what is chosen and lead back without it", () => {
    const selection: Selection = {
      text: "vine",
      choices: {
        category: { options: ["plants > climbers"] },
        price: { min: 5, max: 20.5 },
        light: { options: ["shade"] },
      },
    };
    const chips = chipsOf(stateFor(demoPanel, selection));
    expect(chips.map(({ facet, text }) => `${facet}: ${text}`)).toEqual([
      "Search: “vine”",
      "Category: Climbers",
      "Price: €5 – €20.50",
      "Light: Shade",
    ]);
    for (const { takeBack } of chips) {
      const { selection: without } = nextPlace({ ...startPlace, selection }, takeBack);
      expect(Object.keys(without.choices).length + Number(without.text !== "")).toBe(3);
    }
    const open = (range: { min?: number; max?: number }) =>
      chipsOf(stateFor(demoPanel, { text: "", choices: { price: range } })).map(({ text }) => text);
    expect([open({ min: 5 }), open({ max: 9 })]).toEqual([["from €5"], ["up to €9"]]);
  });
});

describe("numbers as shoppers read them", () => {
  // Source: CLDR through Intl; ISO 4217 minor units (JPY has none).
  it("carry the currency's sign and decimals", () => {
    expect([money(8.5, "EUR"), money(8, "EUR"), money(1200, "JPY"), money(3.75, "USD")]).toEqual([
      "€8.50",
      "€8",
      "¥1,200",
      "$3.75",
    ]);
    const date = index.field("dispatch-from");
    expect(date && formatterOf(date, "EUR")(0)).toBe("Jan 1, 1970");
  });
});

describe("the page as the server draws it", () => {
  const draw = (search: string, panel = demoPanel, language = "en") =>
    drawPage({ ...boot, panels: panelsOf(panel), language }, engine, search);

  it("holds the answer to the address without any script, once for each kind of band", async () => {
    const page = await draw("?light=shade&lang=en");
    expect(page).toContain(">77 products of 240<");
    expect(page.match(/class="zs-card"/g)).toHaveLength(usualLayout.size);
    expect(page).toMatch(/value="shade"[^>]*checked|checked[^>]*value="shade"/);
    expect(page).toContain("<noscript>");
    // Beside the products on wide and medium, in a drawer on slim: two panels, of which the style sheet shows one.
    expect(page.match(/class="zt-panel"/g)).toHaveLength(2);
    expect(page).toContain('data-bands="wide medium"');
    const ids = [...page.matchAll(/ id="([^"]+)"/g)].map(([, id]) => id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(page).toContain('<input type="hidden" name="lang" value="en"');
  });

  it("is drawn once where every band is alike", async () => {
    const page = await draw("", {
      ...demoPanel,
      placement: { wide: "left" },
      rows: facetRows(demoPanel).filter(({ display }) => !display.slim),
    });
    expect(page.match(/class="zt-panel"/g)).toHaveLength(1);
    expect(page).toContain('data-bands="wide medium slim"');
  });

  it("speaks another language throughout", async () => {
    const page = await draw("?light=shade", demoPanel, "de");
    expect(page).toContain(">77 Produkte von 240<");
    expect(page).toContain("Reihenfolge des Ladens");
    expect(page).not.toMatch(/Sort by|Basket|Welcome|Clear all|Nothing chosen/);
  });

  it("writes text as text", async () => {
    expect(await draw("")).toContain("Larkmoss &lt;Nursery>");
    expect(await draw("?q=<script>alert(1)</script>")).not.toContain("<script>alert");
  });

  it("leaves out facets whose field is gone, and never breaks down over them", async () => {
    const rows = demoPanel.rows.map((row) =>
      row.id === "f-light" && row.kind === "facet" ? { ...row, field: "moonlight" } : row,
    );
    const page = await draw("?moonlight=full", { ...demoPanel, rows });
    expect(page).not.toContain('data-row="f-light"');
    expect(page).toContain(">240 products<");
  });
});

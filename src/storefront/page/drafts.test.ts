import { describe, expect, it, vi } from "vitest";
import { demoPages } from "../../../demo/pages.ts";
import { demoAside, demoPanel, demoQuestions } from "../../../demo/panel.ts";
import { bootAt, engine, facts, pageAt, toggling, wideState } from "../../../tests/demo-page.ts";
import { edited } from "../../core/document/edit.ts";
import type { Engine } from "../../core/engine/engine.ts";
import { countsOf } from "../../core/engine/engine.ts";
import { emptySelection } from "../../core/engine/selection.ts";
import { targetOf } from "../../core/page/target.ts";
import { setBehaviour } from "../../core/panel/edit.ts";
import { drawPage } from "../shop/draw-page.tsx";
import type { PagePanel } from "./page-panel.ts";
import { panelState } from "./page-state.ts";
import { PageStore } from "./store.ts";

const at = (address: string) => pageAt(address, demoPages);
const bootOf = (address: string, panels: PagePanel[]) => bootAt(address, panels, demoPages);
const storeOf = (address: string, panels: PagePanel[], with_: Engine = engine) =>
  new PageStore(wideState(bootOf(address, panels)), with_);

describe("a panel whose choices wait for a button", () => {
  const waiting: PagePanel = { slug: "finder", panel: edited(demoPanel, setBehaviour("apply", "button")) };
  const beside: PagePanel = { slug: "questions", panel: demoQuestions };

  it("shows and counts them, and changes nothing else until it is pressed", () => {
    const store = storeOf("/", [waiting, beside]);
    const heard = vi.fn();
    store.subscribe(heard);
    store.performIn("finder", toggling("light", "shade"));
    store.performIn("finder", toggling("light", "full sun"));
    expect([store.state.selection, store.state.answer.total]).toEqual([emptySelection, 240]);
    const own = panelState(store.state, waiting);
    expect(own.waits).toBe(true);
    expect(own.selection.choices.light).toEqual({ options: ["shade", "full sun"] });
    const both = countsOf([{ field: "light", mode: "any" }], own.selection);
    expect(own.answer.total).toBe(engine.ask(both).total);
    expect(panelState(store.state, beside).selection).toEqual(emptySelection);
    expect(heard.mock.calls.every(([, change]) => change === "view")).toBe(true);
    store.apply("finder");
    expect(store.state.answer.total).toBe(own.answer.total);
    expect(store.state.drafts).toEqual({});
    expect(heard.mock.lastCall?.[1]).toBe("place");
  });

  it("forgets them when they are discarded, and when something is chosen elsewhere", () => {
    const store = storeOf("/", [waiting, beside]);
    store.performIn("finder", toggling("light", "shade"));
    store.discard("finder");
    expect(panelState(store.state, waiting).selection).toEqual(emptySelection);
    store.performIn("finder", toggling("light", "shade"));
    store.performIn("questions", toggling("flower-colour", "apricot"));
    expect(Object.keys(panelState(store.state, waiting).selection.choices)).toEqual(["flower-colour"]);
    expect(store.state.drafts).toEqual({});
  });

  it("keeps them when a phone is turned, and counts them anew", () => {
    const store = storeOf("/", [waiting]);
    store.performIn("finder", toggling("light", "shade"));
    const before = panelState(store.state, waiting).answer;
    store.setWidth(400);
    const own = panelState(store.state, waiting);
    expect([store.state.band, own.selection.choices]).toEqual(["slim", { light: { options: ["shade"] } }]);
    expect(own.answer).not.toBe(before);
    expect(own.answer.total).toBe(77);
  });

  it("shows them at once where the engine is slow, without a number that is not theirs", async () => {
    vi.useFakeTimers();
    const slow: Engine = {
      ask: (question) => new Promise((done) => setTimeout(() => done(engine.ask(question)), 400)),
    };
    const store = storeOf("/", [waiting], slow);
    store.performIn("finder", toggling("light", "shade"));
    const own = () => panelState(store.state, waiting);
    expect([own().selection.choices.light, own().counted]).toEqual([{ options: ["shade"] }, false]);
    await vi.advanceTimersByTimeAsync(400);
    expect([own().answer.total, own().counted]).toEqual([77, true]);
    vi.useRealTimers();
  });

  it("counts on the page that its choices are taken to, and says where that is", () => {
    const target = targetOf(demoAside, demoPages, facts);
    const aside: PagePanel = { slug: "aside", panel: demoAside, target };
    const store = storeOf("/articles/plants-and-pets", [aside]);
    store.performIn("aside", toggling("light", "shade"));
    const { answer } = panelState(store.state, aside);
    expect(answer.outOf).toBe(121);
    expect(store.apply("aside")).toBe("/categories/plants?light=shade");
    expect(store.state.selection).toEqual(emptySelection);
    expect(targetOf(edited(demoAside, setBehaviour("sendTo", "/none")), demoPages, facts)).toBeUndefined();
  });
});

describe("a page of several panels", () => {
  const finder: PagePanel = { slug: "finder", panel: demoPanel };
  const questions: PagePanel = { slug: "questions", panel: demoQuestions };

  it("keeps what is chosen when it changes to another page, as far as that asks for it", () => {
    const store = storeOf("/", [finder, questions]);
    store.performIn("finder", toggling("light", "shade"));
    store.performIn("finder", { do: "choose", field: "price", choice: { max: 20 } });
    store.setPage(at("/collections/gifts"), [questions], {
      bars: [],
      menu: [],
      search: undefined,
    });
    expect(Object.keys(store.state.selection.choices)).toEqual(["light"]);
    expect(store.state.answer.outOf).toBe(32);
    expect(store.state.page).toBe(1);
    expect(store.state.shop.bars).toEqual([]);
  });

  it("says that results are under way only when they take a while", async () => {
    vi.useFakeTimers();
    const slow: Engine = {
      ask: (question) => new Promise((done) => setTimeout(() => done(engine.ask(question)), 400)),
    };
    const store = storeOf("/", [finder], slow);
    store.perform(toggling("light", "shade"));
    await vi.advanceTimersByTimeAsync(100);
    expect([store.state.answered, store.state.busy]).toEqual([false, false]);
    await vi.advanceTimersByTimeAsync(100);
    expect(store.state.busy).toBe(true);
    await vi.advanceTimersByTimeAsync(400);
    expect([store.state.answered, store.state.busy, store.state.answer.total]).toEqual([true, false, 77]);
    vi.useRealTimers();
  });

  it("is drawn with each panel in its slot, in order, and sticky where it is", async () => {
    const sticky = edited(demoPanel, setBehaviour("sticky", true), setBehaviour("nudge", -4));
    const { markup: page } = await drawPage(
      bootOf("/collections/gifts", [
        { slug: "questions", panel: demoQuestions, at: { wide: "left" } },
        { slug: "finder", panel: sticky },
      ]),
      engine,
      "",
    );
    const left = page.slice(page.indexOf('class="zs-slot zs-left"'), page.indexOf('class="zs-listing"'));
    expect(left.indexOf('data-panel="questions"')).toBeLessThan(left.indexOf('data-panel="finder"'));
    expect(left).toMatch(/data-sticky[^>]*--zt-nudge:\s*-4px|--zt-nudge:\s*-4px[^>]*data-sticky/);
    // The table on wide, the list on slim: both are there, each for its bands.
    expect(page).toMatch(/data-bands="wide medium"><div class="zs-scroll"/);
    expect(page).toMatch(/data-bands="slim"><ul class="zs-list"/);
    const ids = [...page.matchAll(/ id="([^"]+)"/g)].map(([, id]) => id);
    expect(new Set(ids).size).toBe(ids.length);
  });

  it("shows a panel that stands where nothing is found then, and only then", async () => {
    const nothing: PagePanel = { slug: "questions", panel: demoQuestions, at: { wide: "nothing" } };
    const draw = async (search: string) =>
      (await drawPage(bootOf("/collections/gifts", [finder, nothing]), engine, search)).markup;
    expect(await draw("")).not.toContain('data-panel="questions"');
    const page = await draw("?light=shade&category=pots");
    expect(page).toContain("No gift is like that.");
    expect(page.indexOf('data-panel="questions"')).toBeGreaterThan(page.indexOf("zs-nothing"));
    expect(page).toMatch(/Without Shade[^<]*<b>10 products/);
  });

  it("is drawn with bars of the designer's heights, and what is below them told their sum", async () => {
    const boot = bootOf("/", [finder]);
    const { markup: page } = await drawPage(
      {
        ...boot,
        shop: {
          ...boot.shop,
          bars: [
            { id: "notice", name: "Notice", height: { wide: 44, slim: 30 }, stays: { wide: true } },
            { id: "odd", name: "<b>Odd</b>", height: { wide: 20 }, stays: { wide: false } },
            { id: "menu", name: "Menu", height: { wide: 48 }, stays: { wide: true } },
          ],
        },
      },
      engine,
      "",
    );
    expect(page).toMatch(/--zs-bars-wide:\s*92px;\s*--zs-bars-medium:\s*92px;\s*--zs-bars-slim:\s*78px/);
    expect(page).toMatch(/zs-odd[^>]*--zs-top-wide:\s*auto/);
    expect(page).toMatch(/zs-menu[^>]*--zs-top-wide:\s*44px/);
    expect(page).toContain("&lt;b>Odd");
  });
});

import { describe, expect, it, vi } from "vitest";
import { demoPanel } from "../../../demo/panel.ts";
import { chosen, engine, lightRow, stateFor, toggling } from "../../../tests/demo-page.ts";
import { edited } from "../../core/document/edit.ts";
import type { Answer } from "../../core/engine/answer.ts";
import type { Engine } from "../../core/engine/engine.ts";
import { countsOf } from "../../core/engine/engine.ts";
import type { Question, Selection } from "../../core/engine/question.ts";
import { emptySelection } from "../../core/engine/selection.ts";
import { defaultLayout } from "../../core/page/layout.ts";
import { removeRow, setMode } from "../../core/panel/edit.ts";
import { engineFacets } from "../../core/panel/panel.ts";
import { PageStore } from "./store.ts";

const facets = engineFacets(demoPanel, "wide");
const wait = (ms = 0) => new Promise((done) => setTimeout(done, ms));
const storeFor = (with_: Engine = engine) => new PageStore(stateFor(demoPanel), with_);

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
    expect(store.state.page).toBe(Math.ceil(240 / defaultLayout.size));
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
    // Each choice is seen before its result, and is a shopper's step once.
    expect(heard.mock.calls.map(([, change]) => change)).toEqual(["place", "view", "stage", "stage"]);
  });

  it("tells each of two quick steps, so that going back takes back one at a time", async () => {
    const slow: Engine = { ask: async (question: Question) => wait(5).then(() => engine.ask(question)) };
    const store = storeFor(slow);
    const steps: Selection[] = [];
    store.subscribe((state, change) => change === "place" && steps.push(state.selection));
    store.perform(toggling("light", "shade"));
    store.perform(toggling("light", "full sun"));
    await wait(30);
    expect(steps).toEqual([chosen("light", "shade"), chosen("light", "shade", "full sun")]);
    expect(store.state.answer.total).toBe(engine.ask(countsOf(facets, steps[1])).total);
  });

  it("shows what was chosen at once, and its result when it is there", async () => {
    let answer = () => {};
    const slow: Engine = {
      ask: (question: Question) => new Promise<Answer>((done) => (answer = () => done(engine.ask(question)))),
    };
    const store = storeFor(slow);
    store.perform(toggling("light", "shade"));
    expect([store.state.selection, store.state.answer.total]).toEqual([chosen("light", "shade"), 240]);
    answer();
    await wait();
    expect(store.state.answer.total).toBe(77);
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
    const { total } = engine.ask(countsOf(facets, all));
    await vi.waitFor(() => expect([one.state.answer.total, other.state.answer.total]).toEqual([total, total]));
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

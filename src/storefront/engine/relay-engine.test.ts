import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { readCatalogue } from "../../core/catalogue/read.ts";
import type { Answer, WireAnswer } from "../../core/engine/answer.ts";
import { countsOf, type Engine } from "../../core/engine/engine.ts";
import { CatalogueIndex } from "../../core/engine/index/catalogue-index.ts";
import { LocalEngine } from "../../core/engine/local-engine.ts";
import type { Question, WireQuestion } from "../../core/engine/question.ts";
import { plainCounts, RemoteEngine } from "../../core/engine/remote-engine.ts";
import { RelayEngine } from "./relay-engine.ts";

const csv = ["title,colour,price", "a,red,1", "b,red,5", "c,blue,9"].join("\n");
const local = new LocalEngine(new CatalogueIndex(readCatalogue(new TextEncoder().encode(csv)).catalogue));
const all: Question = {
  ...countsOf([
    { field: "colour", mode: "any" },
    { field: "price", mode: "range" },
  ]),
  size: 24,
};
const red: Question = { ...all, selection: { text: "", choices: { colour: { options: ["red"] } } } };
const named = (name: string, asked: string[]): Engine => ({
  async ask(question) {
    asked.push(name);
    return local.ask(question);
  },
});
const total = async (answer: Answer | Promise<Answer>) => (await answer).total;

describe("an engine that hands over", () => {
  beforeEach(() => vi.useFakeTimers());
  afterEach(() => {
    vi.useRealTimers();
    vi.restoreAllMocks();
  });

  it("answers through the first until its own is there, and by its own from then on", async () => {
    const asked: string[] = [];
    let bring: (engine: Engine) => void = () => {};
    const relay = new RelayEngine(named("first", asked), () => new Promise((done) => (bring = done)), all);
    expect(await total(relay.ask(red))).toBe(2);
    relay.fetchOwn();
    expect(await total(relay.ask(all))).toBe(3);
    bring(named("own", asked));
    await vi.advanceTimersByTimeAsync(0);
    expect(await total(relay.ask(red))).toBe(2);
    expect(asked).toEqual(["first", "first", "own"]);
  });

  it("opens its own once, with what was asked last", async () => {
    const open = vi.fn(async () => local);
    const relay = new RelayEngine(named("first", []), open, all);
    await relay.ask(red);
    expect(open).not.toHaveBeenCalled();
    relay.fetchOwn();
    relay.fetchOwn();
    await relay.ask(all);
    expect(open.mock.calls).toEqual([[red]]);
  });

  it("goes on with the first where its own cannot be opened, and tries again later with the next question", async () => {
    vi.spyOn(console, "error").mockImplementation(() => {});
    const asked: string[] = [];
    let broken = true;
    const open = vi.fn(async () => {
      if (broken) throw new Error("lost");
      return named("own", asked);
    });
    const relay = new RelayEngine(named("first", asked), open, all);
    relay.fetchOwn();
    await vi.advanceTimersByTimeAsync(0);
    await relay.ask(all);
    expect(open).toHaveBeenCalledTimes(1);
    broken = false;
    await vi.advanceTimersByTimeAsync(60_000);
    await relay.ask(all);
    expect(open).toHaveBeenCalledTimes(2);
    await relay.ask(red);
    expect(asked).toEqual(["first", "first", "own"]);
  });

  it("falls back to the first when its own fails, and the shopper gets an answer all the same", async () => {
    const asked: string[] = [];
    const failing: Engine = { ask: () => Promise.reject(new Error("the worker is gone")) };
    const relay = new RelayEngine(named("first", asked), async () => failing, all);
    relay.fetchOwn();
    await vi.advanceTimersByTimeAsync(0);
    expect(await total(relay.ask(red))).toBe(2);
    expect(await total(relay.ask(all))).toBe(3);
    expect(asked).toEqual(["first", "first"]);
  });
});

describe("an engine elsewhere", () => {
  it("is not asked again for what an answer that came with the page has said already", async () => {
    const sent: WireQuestion[] = [];
    const remote = new RemoteEngine(async (question) => {
      sent.push(question);
      const known = new Set(question.has);
      return JSON.parse(
        JSON.stringify(
          local.answer(question, (name) => known.has(name)),
          plainCounts,
        ),
      ) as WireAnswer;
    });
    // As it stands in the page's markup.
    remote.learn(all, JSON.parse(JSON.stringify(local.ask(all), plainCounts)));
    const answer = await remote.ask(red);
    expect(sent[0]?.has).toHaveLength(2);
    expect(JSON.stringify(answer, plainCounts)).toBe(JSON.stringify(local.ask(red), plainCounts));
  });
});

import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { demoPanel } from "../../../demo/panel.ts";
import type { SentHistory } from "../../core/api/shop.ts";
import type { Step } from "../../core/document/patch.ts";
import { renamePanel } from "../../core/panel/edit.ts";
import { setLimits } from "../../core/shop/edit.ts";
import { shopKind } from "../../core/shop/kind.ts";
import { createDocumentStore, isUnsaved } from "./document-store.ts";
import { historyOf } from "./history.ts";
import { StepClock } from "./step-clock.ts";
import { Typing } from "./typing.ts";

const stored = { version: 1, document: demoPanel, history: { steps: [], done: 0 } };
const answers: (() => Response | Promise<Response>)[] = [];
const sent: { version: number; document: { name: string }; history: SentHistory }[] = [];
const json = (status: number, body: unknown) => () => new Response(JSON.stringify(body), { status });
const named = (name: string) => renamePanel(name);

beforeEach(() => {
  vi.useFakeTimers();
  answers.length = 0;
  sent.length = 0;
  vi.stubGlobal("fetch", (_path: string, init: RequestInit) => {
    sent.push(JSON.parse(String(init.body)));
    const answer = answers.shift() ?? json(200, { version: (sent.at(-1)?.version ?? 0) + 1 });
    return Promise.resolve().then(answer);
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});
const rest = () => vi.advanceTimersByTimeAsync(1000);

describe("a document that saves itself", () => {
  it("saves a moment after the last change, with the version that it knows", async () => {
    const store = createDocumentStore("/p", stored);
    store.getState().apply(named("One"));
    store.getState().apply(named("Two"));
    expect(isUnsaved(store.getState())).toBe(true);
    expect(sent).toHaveLength(0);
    await rest();
    expect(sent.map(({ version, document }) => [version, document.name])).toEqual([[1, "Two"]]);
    expect(store.getState().saving).toBe("saved");
    store.getState().apply(named("Three"));
    await rest();
    expect(sent[1]).toMatchObject({ version: 2, document: { name: "Three" } });
  });

  it("undoes and redoes every step in words, and a new step ends redoing", async () => {
    const store = createDocumentStore("/p", stored);
    const { apply, undo, redo } = store.getState();
    apply(named("One"));
    apply(named("Two"));
    expect(store.getState().past.map(({ words }) => words)).toEqual([
      "Rename the panel to One",
      "Rename the panel to Two",
    ]);
    undo();
    expect(store.getState().document.name).toBe("One");
    undo();
    undo();
    expect(store.getState().document).toEqual(demoPanel);
    redo();
    expect(store.getState().document.name).toBe("One");
    apply(named("Else"));
    expect(store.getState().future).toEqual([]);
    redo();
    expect(store.getState().document.name).toBe("Else");
  });

  it("counts an edit that changes nothing as no step, and a drag as one", () => {
    const panel = createDocumentStore("/p", stored);
    panel.getState().apply(named(demoPanel.name));
    expect(panel.getState().past).toEqual([]);
    const store = createDocumentStore("/s", { ...stored, document: shopKind.fresh("") });
    const { apply, undo } = store.getState();
    for (const wide of [1010, 1020, 1030]) apply(setLimits({ medium: 750, wide }), true);
    expect(store.getState().past).toHaveLength(1);
    undo();
    expect(store.getState().document.limits.wide).toBe(1000);
  });

  it("saves what was changed while a save was under way", async () => {
    const store = createDocumentStore("/p", stored);
    let finish: (response: Response) => void = () => {};
    answers.push(
      () =>
        new Promise((done) => {
          finish = done;
        }),
    );
    store.getState().apply(named("One"));
    await vi.advanceTimersByTimeAsync(400);
    store.getState().apply(named("Two"));
    await vi.advanceTimersByTimeAsync(400);
    expect(sent).toHaveLength(1);
    finish(new Response('{"version":2}'));
    await rest();
    expect(sent[1]).toMatchObject({ version: 2, document: { name: "Two" } });
    expect(store.getState().saving).toBe("saved");
  });

  it("writes nothing over another tab's version until it is settled", async () => {
    for (const keep of ["mine", "theirs"] as const) {
      sent.length = 0;
      const store = createDocumentStore("/p", stored);
      answers.push(json(409, { error: "Changed elsewhere", version: 7, document: { ...demoPanel, name: "Theirs" } }));
      store.getState().apply(named("Mine"));
      await rest();
      expect(store.getState()).toMatchObject({ saving: "conflict", other: { version: 7 } });
      store.getState().apply(named("Mine still"));
      await rest();
      expect(sent).toHaveLength(1);
      store.getState().settle(keep);
      await rest();
      if (keep === "mine") expect(sent[1]).toMatchObject({ version: 7, document: { name: "Mine still" } });
      else {
        expect(sent).toHaveLength(1);
        expect(store.getState().document.name).toBe("Theirs");
        store.getState().undo();
        await rest();
        expect(sent[1]).toMatchObject({ version: 7, document: { name: "Mine still" } });
      }
    }
  });

  it("tries again when the server was away, and says a refusal", async () => {
    const store = createDocumentStore("/p", stored);
    answers.push(() => Promise.reject(new TypeError("network")));
    store.getState().apply(named("One"));
    await rest();
    expect(store.getState()).toMatchObject({ saving: "failed", trouble: expect.stringContaining("cannot be reached") });
    await vi.advanceTimersByTimeAsync(4000);
    expect(store.getState().saving).toBe("saved");

    answers.push(json(422, { error: "This is not a valid panel." }));
    store.getState().apply(named("Two"));
    await vi.advanceTimersByTimeAsync(20_000);
    expect(store.getState()).toMatchObject({ saving: "failed", trouble: "This is not a valid panel." });
    // A refused document is not sent over and over.
    expect(sent).toHaveLength(3);
  });

  it("keeps its steps with what is saved, so that undo outlives a reload", async () => {
    const store = createDocumentStore("/p", stored);
    store.getState().apply(named("One"));
    await rest();
    store.getState().apply(named("Two"));
    store.getState().undo();
    await rest();
    // The steps on the server: those sent replace the ones from the first of them on.
    let kept: Step[] = [];
    for (const { history } of sent) kept = [...kept.filter(({ n }) => n < history.from), ...history.steps];
    const done = sent.at(-1)?.history.done ?? 0;
    expect(kept.map(({ n, words }) => [n, words])).toEqual([
      [1, "Rename the panel to One"],
      [2, "Rename the panel to Two"],
    ]);
    expect(done).toBe(1);
    const again = createDocumentStore("/p", {
      version: 3,
      document: store.getState().document,
      history: { steps: kept, done },
    });
    again.getState().redo();
    expect(again.getState().document.name).toBe("Two");
    again.getState().undo();
    again.getState().undo();
    expect(again.getState().document).toEqual(demoPanel);
  });

  it("sends a step once, takes back what was undone, and keeps 200", async () => {
    const store = createDocumentStore("/p", stored);
    for (let i = 0; i < 250; i++) store.getState().apply(named(`Name ${i}`));
    expect(store.getState().past).toHaveLength(200);
    expect(store.getState().past[0]?.n).toBe(51);
    await rest();
    store.getState().apply(named("Last"));
    await rest();
    expect(sent[1]?.history).toMatchObject({ from: 251, done: 251 });
    expect(sent[1]?.history.steps).toHaveLength(1);
    store.getState().undo();
    store.getState().undo();
    store.getState().apply(named("Else"));
    await rest();
    expect(sent[2]?.history).toMatchObject({ from: 250, done: 250 });
    expect(sent[2]?.history.steps.map(({ words }) => words)).toEqual(["Rename the panel to Else"]);
  });

  it("takes what one field saves at its pauses as one step, and what is typed back as none", async () => {
    const store = createDocumentStore("/p", stored);
    const type = (typing: Typing, name: string) => typing.run(() => store.getState().apply(named(name)));
    const words = () => store.getState().past.map((step) => step.words);
    const typing = new Typing();
    for (const name of ["Fi", "Find", "Finder"]) {
      type(typing, name);
      await rest();
    }
    expect(words()).toEqual(["Rename the panel to Finder"]);
    expect(sent.map(({ document }) => document.name)).toEqual(["Fi", "Find", "Finder"]);
    // Another field, or the same one later, is a step of its own.
    type(new Typing(), "Finders");
    expect(words()).toHaveLength(2);
    store.getState().undo();
    expect(store.getState().document.name).toBe("Finder");
    const back = new Typing();
    type(back, "Find");
    type(back, "Finder");
    expect(words()).toEqual(["Rename the panel to Finder"]);
  });

  it("goes back in the order of time over several documents, also after a reload and with a clock put back", async () => {
    vi.setSystemTime(1_000_000);
    const clock = new StepClock();
    const [panel, other] = [createDocumentStore("/p", stored, clock), createDocumentStore("/q", stored, clock)];
    panel.getState().apply(named("Panel 1"));
    other.getState().apply(named("Other 1"));
    vi.setSystemTime(900_000);
    panel.getState().apply(named("Panel 2"));
    other.getState().apply(named("Other 2"));
    panel.getState().apply(named("Panel 3"));
    const reloaded = [other, panel].map((store) => {
      const { document, past } = store.getState();
      return createDocumentStore("/x", { version: 9, document, history: { steps: [...past], done: past.length } });
    });
    const undone: string[] = [];
    for (let n = 0; n < 5; n++) {
      undone.push(historyOf(reloaded).past.at(-1)?.words ?? "");
      historyOf(reloaded).undo();
    }
    const names = ["Panel 3", "Other 2", "Panel 2", "Other 1", "Panel 1"];
    expect(undone).toEqual(names.map((name) => `Rename the panel to ${name}`));
    for (const name of [...names].reverse()) {
      expect(historyOf(reloaded).future[0]?.words).toBe(`Rename the panel to ${name}`);
      historyOf(reloaded).redo();
    }
    expect(reloaded.map((store) => store.getState().document.name)).toEqual(["Other 2", "Panel 3"]);
  });
});

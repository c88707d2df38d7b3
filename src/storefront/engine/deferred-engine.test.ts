import { describe, expect, it, vi } from "vitest";
import { readCatalogue } from "../../core/catalogue/read.ts";
import { countsOf } from "../../core/engine/engine.ts";
import { CatalogueIndex } from "../../core/engine/index/catalogue-index.ts";
import { LocalEngine } from "../../core/engine/local-engine.ts";
import { DeferredEngine } from "./deferred-engine.ts";
import { readyEngine } from "./ready-engine.ts";

const csv = ["title,colour,price", "a,red,1", "b,red,5", "c,blue,9"].join("\n");
const { catalogue } = readCatalogue(new TextEncoder().encode(csv));
const local = new LocalEngine(new CatalogueIndex(catalogue));
const all = countsOf([{ field: "colour", mode: "any" }]);
const red = { ...all, selection: { text: "", choices: { colour: { options: ["red"] } } } };

describe("an engine that is on its way", () => {
  it("answers when it is there, and at once from then on", async () => {
    let bring: (engine: LocalEngine) => void = () => {};
    const open = vi.fn(() => new Promise<LocalEngine>((done) => (bring = done)));
    const engine = new DeferredEngine(open);
    const early = [engine.ask(red), engine.ask(all)];
    expect(engine.here).toBeUndefined();
    bring(local);
    await engine.arrival;
    expect((await Promise.all(early)).map(({ total }) => total)).toEqual([2, 3]);
    expect(engine.ask(red)).toMatchObject({ total: 2 });
    expect(open).toHaveBeenCalledTimes(1);
  });

  it("is sent for again after it could not be brought", async () => {
    let lost = true;
    const engine = new DeferredEngine(async () => {
      if (lost) throw new Error("lost");
      return local;
    });
    await expect(engine.ask(all)).rejects.toThrow("lost");
    await expect(engine.fetch()).rejects.toThrow("lost");
    lost = false;
    expect(await engine.ask(all)).toMatchObject({ total: 3 });
    await engine.arrival;
  });
});

describe("an engine made ready", () => {
  it("has counted what is asked first, and answers as one that has not", async () => {
    const ready = await readyEngine(catalogue, all);
    expect(ready.ask(red)).toEqual(local.ask(red));
    expect((await readyEngine(catalogue)).ask(all)).toEqual(local.ask(all));
  });
});

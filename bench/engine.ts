/**
 * Recounts every option of every facet for twenty selections, with counts that leave a facet's own choice
 * out, beside three other ways to get the same numbers, on the same catalogue and in the same run.
 */

import { everything } from "../src/core/engine/base.ts";
import { liveCounts } from "../src/core/engine/count.ts";
import { CatalogueIndex } from "../src/core/engine/index/catalogue-index.ts";
import { LocalEngine } from "../src/core/engine/local-engine.ts";
import { Matcher } from "../src/core/engine/matcher.ts";
import type { Facet } from "../src/core/engine/question.ts";
import { type Counts, type Peer, peers } from "./peers.ts";
import { fieldKeys, type Picks, selections, syntheticCatalogue, syntheticProducts } from "./synthetic.ts";

/** Medians over the selections, in ms. */
export interface EngineCase {
  products: number;
  /** Product-level counts, which every peer can do. */
  ours_ms: number;
  peers: Record<string, number>;
  ratio_to_fastest_peer: number;
  /** The same counts over three variants a product, exact by variant, which no peer does. */
  variant_exact_ms: number;
  /** The same after each single click that leads to the selections: what the click does not change is not counted again. */
  click_ms: number;
  build: { ours_ms: number; variant_exact_ms: number; peers: Record<string, number> };
  /** The index over three variants a product, in MB; present where the garbage collector can be called. */
  index_mb?: number | undefined;
}

/** A peer whose answer is not ours. */
export class DifferentAnswer extends Error {
  override name = "DifferentAnswer";
}

const facets: Facet[] = fieldKeys.map((field) => ({ field, mode: "any" }));
const asked = selections();
const rounds = 5;

/** @param which peers to take along; the slowest is left out where it would take minutes */
export function benchEngine(products: number, which: readonly string[] = peers.map(({ name }) => name)): EngineCase {
  const rows = syntheticProducts(products, 1);
  const [index, oursBuild] = timed(() => built(rows));
  const answers = asked.map((picks) => readOurs(index, ours(index, picks)));
  const oursMs = medianOfBest((picks) => ours(index, picks), rounds);

  const peerMs: Record<string, number> = {};
  const peerBuild: Record<string, number> = {};
  for (const peer of peers.filter(({ name }) => which.includes(name))) {
    const [count, build] = timed(() => peer.prepare(rows));
    peerBuild[peer.name] = round(build);
    asked.forEach((picks, i) => {
      compare(peer, answers[i], peer.read(count(picks)), picks);
    });
    peerMs[peer.name] = round(medianOfBest(count, peer.name === "sqlite" ? 1 : rounds));
  }

  const exact = variantExact(products);
  const fastest = Math.min(...Object.values(peerMs));
  return {
    products,
    ours_ms: round(oursMs),
    peers: peerMs,
    ratio_to_fastest_peer: Number((fastest / oursMs).toFixed(1)),
    variant_exact_ms: exact.ms,
    click_ms: exact.click,
    build: { ours_ms: round(oursBuild), variant_exact_ms: exact.build, peers: peerBuild },
    index_mb: exact.mb,
  };
}

/** Counts over three variants a product. */
export function variantExact(products: number): {
  ms: number;
  click: number;
  build: number;
  mb: number | undefined;
} {
  const rows = syntheticProducts(products, 3);
  const before = memory();
  const [index, build] = timed(() => built(rows));
  for (const picks of asked) ours(index, picks);
  const after = memory();
  const ms = medianOfBest((picks) => ours(index, picks), rounds);
  return {
    ms: round(ms),
    click: round(afterClicks(index)),
    build: round(build),
    mb: before === undefined || after === undefined ? undefined : Math.round((after - before) / 1e6),
  };
}

function built(rows: Parameters<typeof syntheticCatalogue>[0]): CatalogueIndex {
  const index = new CatalogueIndex(syntheticCatalogue(rows));
  for (const key of fieldKeys) index.options(key);
  return index;
}

function ours(index: CatalogueIndex, picks: Picks): Uint32Array[] {
  const choices = Object.fromEntries(Object.entries(picks).map(([key, options]) => [key, { options }]));
  const matcher = new Matcher(index, everything(index), facets, choices);
  return facets.map((facet) => liveCounts(matcher, facet));
}

/** The median of the best times to recount after each click, option by option from an empty selection. */
function afterClicks(index: CatalogueIndex): number {
  const clicks = asked.flatMap((picks) => {
    const all = Object.entries(picks).flatMap(([key, values]) => values.map((value) => ({ key, value })));
    return [...all.keys(), all.length].map((count) => {
      const choices: Picks = {};
      for (const { key, value } of all.slice(0, count)) choices[key] = [...(choices[key] ?? []), value];
      return choices;
    });
  });
  const page = new LocalEngine(index).page([]);
  const bests = clicks.map(() => Number.POSITIVE_INFINITY);
  for (let i = 0; i < rounds; i++)
    for (const [at, picks] of clicks.entries()) {
      const choices = Object.fromEntries(Object.entries(picks).map(([key, options]) => [key, { options }]));
      const selection = { text: "", choices };
      const [, ms] = timed(() => {
        const matcher = page.matcher(facets, selection);
        return [matcher.size(), page.live(matcher, facets, selection)];
      });
      bests[at] = Math.min(bests[at], ms);
    }
  // What is known without any choice is not recounted at all.
  return median(bests.filter((_, at) => Object.keys(clicks[at]).length > 0));
}

const readOurs = (index: CatalogueIndex, counts: Uint32Array[]): Counts =>
  Object.fromEntries(
    fieldKeys.map((key, f) => [
      key,
      Object.fromEntries(index.options(key).options.map(({ id }, o) => [id, counts[f][o]])),
    ]),
  );

function compare({ name }: Peer, mine: Counts, theirs: Counts, picks: Picks): void {
  for (const key of fieldKeys) {
    for (const value of new Set([...Object.keys(mine[key]), ...Object.keys(theirs[key])])) {
      const [a, b] = [mine[key][value] ?? 0, theirs[key][value] ?? 0];
      if (a !== b)
        throw new DifferentAnswer(
          `${name} counts ${b} for ${key} = ${value} and we ${a}, with ${JSON.stringify(picks)} chosen.`,
        );
    }
  }
}

function timed<T>(task: () => T): [T, number] {
  const start = performance.now();
  const value = task();
  return [value, performance.now() - start];
}

/**
 * The best time of each selection, and the median of those. Selections take turns within a round, so that
 * a peer which only works off what has changed meets a change each time.
 */
function medianOfBest(task: (picks: Picks) => unknown, times: number): number {
  const bests = asked.map(() => Number.POSITIVE_INFINITY);
  for (let i = 0; i < times; i++) {
    asked.forEach((picks, at) => {
      bests[at] = Math.min(bests[at], timed(() => task(picks))[1]);
    });
  }
  return median(bests);
}

function median(values: number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return (sorted[(sorted.length - 1) >> 1] + sorted[sorted.length >> 1]) / 2;
}

const round = (ms: number): number => Number(ms.toPrecision(3));

function memory(): number | undefined {
  if (!globalThis.gc) return undefined;
  globalThis.gc();
  const { heapUsed, arrayBuffers } = process.memoryUsage();
  return heapUsed + arrayBuffers;
}

import type { LocalEngine } from "../engine/local-engine.ts";
import { type Assumptions, assumed, defaultAssumptions } from "./assumptions.ts";
import { PageResults } from "./page-results.ts";
import type { Scene } from "./scene.ts";
import { shopperOf, targetsOf, type Weighing } from "./shopper.ts";
import { type Walk, walk } from "./walk.ts";

/** How a page is rehearsed. */
export interface Rehearsing {
  /** Number of shoppers. Default: 2,000. */
  shoppers?: number;
  /** The same seed gives the same shoppers. Default: 1. */
  seed?: number;
  weighing?: Weighing;
  assumptions?: Assumptions;
}

/** Number of shoppers per batch, between which others may run. */
export const batch = 50;

/**
 * Sends shoppers through a scene in batches. The same scene, catalogue, seed and assumptions give the same walks on
 * every machine; no clock is involved.
 */
export function* runRehearsal(
  engine: LocalEngine,
  scene: Scene,
  { shoppers = 2000, seed = 1, weighing = "even", assumptions = defaultAssumptions }: Rehearsing = {},
): Generator<Walk[]> {
  const numbers = assumed(assumptions);
  const stands = new PageResults(engine, scene, numbers.first);
  const targets = targetsOf(engine.index, stands.products, weighing);
  if (targets.products.length === 0) return;
  for (let from = 0; from < shoppers; from += batch) {
    const walks: Walk[] = [];
    for (let n = from; n < Math.min(shoppers, from + batch); n++)
      walks.push(walk(stands, shopperOf(engine.index, targets, assumptions, seed, n), numbers));
    yield walks;
  }
}

/** All walks at once. */
export const rehearsed = (...given: Parameters<typeof runRehearsal>): Walk[] => [...runRehearsal(...given)].flat();

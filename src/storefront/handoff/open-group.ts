import type { DeferredEngine } from "../engine/deferred-engine.ts";
import type { PageStore } from "../page/store.ts";
import type { ShopFile } from "./wire.ts";
/** The part of a group used by a site's marked elements. */
export interface SharedGroup {
  readonly name: string;
  /** The ids of all products found, in order. */
  found(): string[];
  /** Reports an error to the site and to the console. */
  fault(error: unknown): void;
}

/** A group that answers. */
export interface OpenGroup {
  group: SharedGroup;
  shop: ShopFile;
  store: PageStore;
  /** May still be loading while panels already respond. */
  engine: DeferredEngine;
  /** The catalogue includes card data. */
  cards: boolean;
  /** Identifies the files that current markup is drawn from. */
  drawn: string;
}

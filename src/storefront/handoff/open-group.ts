import type { DeferredEngine } from "../engine/deferred-engine.ts";
import type { PageStore } from "../page/store.ts";
import type { ShopFile } from "./wire.ts";
/** Panels and listings with one selection, as far as the marks of a site need it. */
export interface SharedGroup {
  readonly name: string;
  /** The ids of all products that are found, in their order. */
  found(): string[];
  /** Reports an error to the site and to the console. */
  fault(error: unknown): void;
}

/** A group that answers. */
export interface OpenGroup {
  group: SharedGroup;
  shop: ShopFile;
  store: PageStore;
  /** Is on its way while the panels are awake already. */
  engine: DeferredEngine;
  /** The catalogue has what cards show. */
  cards: boolean;
  /** The source of markup that can be kept. */
  drawn: string;
}

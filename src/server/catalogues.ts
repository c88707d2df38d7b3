import type { SqlEntityManager } from "@mikro-orm/libsql";
import { isFacetable } from "../core/catalogue/field.ts";
import { CatalogueIndex } from "../core/index/catalogue-index.ts";
import { packCatalogue } from "../core/index/wire.ts";
import { LocalEngine } from "../core/match/engine.ts";
import { guessSwatches } from "../core/swatch/book.ts";
import type { ShopData } from "../storefront/shop-data.ts";
import type { Shop } from "./entities.ts";
import { loadCatalogue } from "./shops.ts";

/** A catalogue ready for answering, and what shop pages are sent of it. */
export interface LoadedCatalogue {
  engine: LocalEngine;
  data: ShopData;
  /** The same as JSON text, which is sent many times. */
  json: string;
}

const most = 8;

/** Keeps the catalogues that were used last, by shop. */
export class Catalogues {
  #loaded = new Map<number, Promise<LoadedCatalogue>>();

  /** Lets a catalogue be read anew, after it was changed. */
  forget(shop: Shop): void {
    this.#loaded.delete(shop.id);
  }

  get(em: SqlEntityManager, shop: Shop): Promise<LoadedCatalogue> {
    const loaded = this.#loaded.get(shop.id) ?? load(em, shop);
    this.#loaded.delete(shop.id);
    this.#loaded.set(shop.id, loaded);
    loaded.catch(() => this.#loaded.delete(shop.id));
    for (const id of this.#loaded.keys()) {
      if (this.#loaded.size <= most) break;
      this.#loaded.delete(id);
    }
    return loaded;
  }
}

async function load(em: SqlEntityManager, shop: Shop): Promise<LoadedCatalogue> {
  const catalogue = await loadCatalogue(em, shop);
  const index = new CatalogueIndex(catalogue);
  const cards = new Set(["title", "image", "sku"]);
  const data: ShopData = {
    catalogue: packCatalogue(catalogue, (field) => isFacetable(field) || cards.has(field.role)),
    swatches: guessSwatches(index),
  };
  return { engine: new LocalEngine(index), data, json: JSON.stringify(data) };
}

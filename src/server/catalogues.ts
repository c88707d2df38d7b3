import type { SqlEntityManager } from "@mikro-orm/libsql";
import { decodeCatalogue, encodeCatalogue } from "../core/catalogue/binary.ts";
import type { Catalogue } from "../core/catalogue/catalogue.ts";
import { isFacetable } from "../core/catalogue/field.ts";
import { CatalogueIndex } from "../core/index/catalogue-index.ts";
import { LocalEngine } from "../core/match/engine.ts";
import { applyMends } from "../core/mend/apply.ts";
import type { Shop } from "./entities.ts";
import { loadBytes } from "./shops.ts";
import { SwatchResolver } from "./swatches.ts";

/** A shop's catalogue ready for answering, mends done. */
export interface LoadedCatalogue {
  /** As it was imported. */
  source: Catalogue;
  engine: LocalEngine;
  swatches: SwatchResolver;
  /** What pages that count for themselves are sent: the fields that panels and cards need, in binary form. */
  data(): Uint8Array<ArrayBuffer>;
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

const ofCards: ReadonlySet<string> = new Set(["title", "image"]);

async function load(em: SqlEntityManager, shop: Shop): Promise<LoadedCatalogue> {
  const source = decodeCatalogue(await loadBytes(em, shop));
  const catalogue = applyMends(source, shop.mends.mends);
  const index = new CatalogueIndex(catalogue);
  let data: Uint8Array<ArrayBuffer> | undefined;
  return {
    source,
    engine: new LocalEngine(index),
    swatches: new SwatchResolver(index),
    data() {
      data ??= encodeCatalogue(catalogue, (field) => isFacetable(field) || ofCards.has(field.role));
      return data;
    },
  };
}

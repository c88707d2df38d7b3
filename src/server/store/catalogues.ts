import type { SqlEntityManager } from "@mikro-orm/libsql";
import { LRUCache } from "lru-cache";
import { decodeCatalogue, encodeCatalogue } from "../../core/catalogue/binary.ts";
import { titleField } from "../../core/catalogue/catalogue.ts";
import { isFacetable } from "../../core/catalogue/field.ts";
import { LocalFacts } from "../../core/facts/local-facts.ts";
import { CatalogueIndex } from "../../core/index/catalogue-index.ts";
import { applyMends } from "../../core/mend/apply.ts";
import { mendsKind } from "../../core/mend/kind.ts";
import { readDocument, type ShopRef } from "./documents.ts";
import { loadBytes } from "./shops.ts";
import { SwatchResolver } from "./swatches.ts";

/** A shop's catalogue ready for answering, mends done. */
export interface LoadedCatalogue {
  facts: LocalFacts;
  swatches: SwatchResolver;
  /** What pages that count for themselves are sent: the fields that panels and cards need, in binary form. @param text with descriptions */
  data(text: boolean): Uint8Array<ArrayBuffer>;
}

/** Catalogues that are kept ready. */
const most = 8;

/** Keeps the catalogues that were used last, by shop. */
export class Catalogues {
  #loaded = new LRUCache<number, Promise<LoadedCatalogue>>({ max: most });

  /** Lets a catalogue be read anew, after it was changed. */
  forget(shop: ShopRef): void {
    this.#loaded.delete(shop.id);
  }

  get(em: SqlEntityManager, shop: ShopRef): Promise<LoadedCatalogue> {
    const known = this.#loaded.get(shop.id);
    if (known) return known;
    const loaded = load(em, shop);
    this.#loaded.set(shop.id, loaded);
    loaded.catch(() => this.#loaded.delete(shop.id));
    return loaded;
  }
}

async function load(em: SqlEntityManager, shop: ShopRef): Promise<LoadedCatalogue> {
  const [bytes, mends] = [await loadBytes(em, shop), await readDocument(em, shop, mendsKind)];
  const catalogue = applyMends(decodeCatalogue(bytes), mends?.document.mends ?? []);
  const facts = new LocalFacts(new CatalogueIndex(catalogue));
  const title = titleField(catalogue)?.key;
  const made = new Map<boolean, Uint8Array<ArrayBuffer>>();
  return {
    facts,
    swatches: new SwatchResolver(facts.index),
    data(text) {
      const data =
        made.get(text) ??
        encodeCatalogue(
          catalogue,
          (field) =>
            isFacetable(field) ||
            field.key === title ||
            field.role === "image" ||
            (text && field.role === "description"),
        );
      made.set(text, data);
      return data;
    },
  };
}

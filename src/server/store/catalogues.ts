import { LRUCache } from "lru-cache";
import { encodeCatalogue } from "../../core/catalogue/binary.ts";
import { titleField } from "../../core/catalogue/catalogue.ts";
import { isFacetable } from "../../core/catalogue/field.ts";
import { LocalFacts } from "../../core/facts/local-facts.ts";
import { CatalogueIndex } from "../../core/index/catalogue-index.ts";
import { applyMends } from "../../core/mend/apply.ts";
import { mendsKind } from "../../core/mend/kind.ts";
import type { Shop } from "./entities.ts";
import { draftKey, type ShopSource } from "./source.ts";
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

/** Keeps the catalogues that were used last, of drafts and of editions. */
export class Catalogues {
  #loaded = new LRUCache<string, Promise<LoadedCatalogue>>({ max: most });

  /** Lets a draft's catalogue be read anew, after it was changed. */
  forget(shop: Pick<Shop, "id">): void {
    this.#loaded.delete(draftKey(shop));
  }

  get(source: ShopSource): Promise<LoadedCatalogue> {
    const { key } = source;
    const known = this.#loaded.get(key);
    if (known) return known;
    const loaded = load(source);
    this.#loaded.set(key, loaded);
    loaded.catch(() => this.#loaded.delete(key));
    return loaded;
  }
}

async function load(source: ShopSource): Promise<LoadedCatalogue> {
  const [imported, mends] = [await source.catalogue(), await source.read(mendsKind)];
  const catalogue = applyMends(imported, mends?.document.mends ?? []);
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

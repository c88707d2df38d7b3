import { LRUCache } from "lru-cache";
import { encodeCatalogue } from "../../core/catalogue/binary.ts";
import { titleField } from "../../core/catalogue/catalogue.ts";
import { isFacetable } from "../../core/catalogue/field.ts";
import { LocalFacts } from "../../core/facts/local-facts.ts";
import { CatalogueIndex } from "../../core/index/catalogue-index.ts";
import { applyMends } from "../../core/mend/apply.ts";
import { mendsKind } from "../../core/mend/kind.ts";
import { Packed } from "../packed.ts";
import type { Shop } from "./entities.ts";
import { draftKey, isDraft, type ShopSource } from "./source.ts";
import { SwatchResolver } from "./swatches.ts";

/** A shop's catalogue ready for answering, mends done. */
export interface LoadedCatalogue {
  facts: LocalFacts;
  swatches: SwatchResolver;
  /**
   * What pages that count for themselves are sent, in binary form: the fields that panels and cards can need.
   * @param only the keys of those that the page does need
   */
  data(wanted: { text: boolean; only?: readonly string[] | undefined }): Packed;
}

/** Cuts of one catalogue that are kept: pages that need the same fields share one. */
const mostCuts = 12;

/** Catalogues that are kept ready. */
const most = 8;

/** Keeps the catalogues that were used last, of drafts and of editions. */
export class Catalogues {
  #loaded = new LRUCache<string, Promise<LoadedCatalogue>>({ max: most });
  /** How often a draft's was forgotten. */
  forgotten = 0;

  /** Lets a draft's catalogue be read anew, after it was changed. */
  forget(shop: Pick<Shop, "id">): void {
    this.forgotten++;
    this.#loaded.delete(draftKey(shop));
  }

  /** In a thread: lets all drafts' be read anew where some have been forgotten since. @param forgotten how often in all */
  catchUp(forgotten: number): void {
    if (forgotten === this.forgotten) return;
    this.forgotten = forgotten;
    for (const key of this.#loaded.keys()) if (isDraft(key)) this.#loaded.delete(key);
  }

  /** Names what a source's catalogue is now; an edition's never changes. */
  stateOf(key: string): string {
    return isDraft(key) ? `${key} ${this.forgotten}` : key;
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
  const made = new LRUCache<string, Packed>({ max: mostCuts });
  return {
    facts,
    swatches: new SwatchResolver(facts.index),
    data({ text, only }) {
      const there = new Set(only);
      const name = `${text} ${only === undefined ? "" : [...there].sort().join(",")}`;
      const known = made.get(name);
      if (known) return known;
      const data = new Packed(
        encodeCatalogue(
          catalogue,
          (field) =>
            (only ? there.has(field.key) : isFacetable(field) || field.key === title || field.role === "image") ||
            (text && field.role === "description"),
        ),
      );
      made.set(name, data);
      return data;
    },
  };
}

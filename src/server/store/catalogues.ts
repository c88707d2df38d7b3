import { LRUCache } from "lru-cache";
import { encodeCatalogue } from "../../core/catalogue/binary.ts";
import { type Catalogue, titleField } from "../../core/catalogue/catalogue.ts";
import { type Field, isFacetable } from "../../core/catalogue/field.ts";
import { applyMends } from "../../core/catalogue/mend/apply.ts";
import { mendsKind } from "../../core/catalogue/mend/kind.ts";
import { productOf } from "../../core/engine/cards/product.ts";
import { CatalogueIndex } from "../../core/engine/index/catalogue-index.ts";
import { pagesKind } from "../../core/page/kind.ts";
import { withCollections } from "../../core/page/with-collections.ts";
import { LocalFacts } from "../../core/profile/local-facts.ts";
import { limits } from "../../core/sanitize/limits.ts";
import { type CompressedBody, keepPacked } from "../compressed-body.ts";
import type { ServedCatalogue, ServedCatalogues } from "../served-catalogue.ts";
import { allPictured } from "../used-fields.ts";
import { draftKey, isDraft, type ShopSource } from "./source.ts";
import { SwatchResolver } from "./swatch-resolver.ts";
import type { Shop } from "./tables/shop.ts";

/** A shop's catalogue ready for answering, with corrections applied. */
export interface LoadedCatalogue extends ServedCatalogue {
  facts: LocalFacts;
  data(wanted: { text: boolean; only?: readonly string[] | undefined }): CompressedBody;
}

/** Memory of an indexed catalogue, as a multiple of its own bytes. Measured with 20,000 products. */
const indexed = 3;

/** Catalogues reduced and compressed for browsers: pages that need the same fields share one. */
type Cuts = LRUCache<string, CompressedBody>;

/** Caches the most recently used catalogues, of drafts and editions, within a memory limit. */
export class Catalogues implements ServedCatalogues {
  #loaded = new LRUCache<string, Promise<LoadedCatalogue>>({
    maxSize: limits.keptCatalogues.max,
    sizeCalculation: () => 1,
  });
  #cuts: Cuts = new LRUCache({ maxSize: limits.keptCuts.max, sizeCalculation: ({ size }) => size });
  /** Number of times a draft's was evicted. */
  forgotten = 0;

  /** Evicts a draft's catalogue after a change. */
  forget(shop: Pick<Shop, "id">): void {
    this.forgotten++;
    this.#loaded.delete(draftKey(shop));
  }

  /** In a thread: evicts all drafts' if any has been evicted since. @param forgotten total number of evictions */
  syncWriteCount(forgotten: number): void {
    if (forgotten === this.forgotten) return;
    this.forgotten = forgotten;
    for (const key of this.#loaded.keys()) if (isDraft(key)) this.#loaded.delete(key);
  }

  /** Names the state of a source's catalogue; an edition's never changes. */
  stateOf(key: string): string {
    return isDraft(key) ? `${key} ${this.forgotten}` : key;
  }

  get(source: ShopSource): Promise<LoadedCatalogue> {
    const { key } = source;
    const known = this.#loaded.get(key);
    if (known) return known;
    const loaded = load(source, this.#cuts, `${this.stateOf(key)} `);
    this.#loaded.set(key, loaded);
    loaded.then(
      // Its size is known once it is loaded; others are evicted to make room.
      ({ facts }) => {
        if (this.#loaded.peek(key) === loaded) {
          this.#loaded.delete(key);
          this.#loaded.set(key, loaded, { size: Math.min(sizeOf(facts) * indexed, limits.keptCatalogues.max) });
        }
      },
      () => this.#loaded.delete(key),
    );
    return loaded;
  }
}

/** Bytes of a catalogue's columns: codes, and spellings with the overhead of a text in an engine. */
function sizeOf({ index }: LocalFacts): number {
  let bytes = 0;
  for (const { spellings, starts, codes } of index.catalogue.columns.values()) {
    bytes += starts.byteLength + codes.byteLength;
    for (const one of spellings) bytes += 2 * one.length + 40;
  }
  return Math.max(1, bytes + 100 * index.catalogue.productIds.length);
}

/** A source's catalogue with its corrections and collections. */
export async function effectiveCatalogue(source: ShopSource): Promise<Catalogue> {
  const [imported, mends] = [await source.catalogue(), await source.read(mendsKind)];
  const pages = await source.read(pagesKind);
  return withCollections(applyMends(imported, mends?.document.mends ?? []), pages?.document);
}

/** @param prefix of this catalogue's names among the reduced ones */
async function load(source: ShopSource, cuts: Cuts, prefix: string): Promise<LoadedCatalogue> {
  const catalogue = await effectiveCatalogue(source);
  const facts = new LocalFacts(new CatalogueIndex(catalogue));
  const title = titleField(catalogue)?.key;
  let isPictured: boolean | undefined;
  return {
    facts,
    served: {
      isElsewhere: false,
      get isPictured() {
        isPictured ??= allPictured(catalogue);
        return isPictured;
      },
      ask: (question) => facts.ask(question),
      pageFacts: () => facts.pageFacts(),
      answer: (question, has) => facts.engine.answer(question, has),
      product: (id) => productOf(facts.index, id),
    },
    swatches: new SwatchResolver(catalogue.fields, (key) => facts.index.options(key).options),
    data({ text, only }) {
      const there = new Set(only);
      const name = `${prefix}${text} ${only === undefined ? "" : JSON.stringify([...there].sort())}`;
      const known = cuts.get(name);
      if (known) return known;
      const isWanted = (field: Field) =>
        (only ? there.has(field.key) : isFacetable(field) || field.key === title || field.role === "image") ||
        (text && field.role === "description");
      return keepPacked(cuts, name, encodeCatalogue(catalogue, isWanted));
    },
  };
}

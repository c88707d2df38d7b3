import { LRUCache } from "lru-cache";
import { encodeCatalogue } from "../../core/catalogue/binary.ts";
import { titleField } from "../../core/catalogue/catalogue.ts";
import { type Field, isFacetable } from "../../core/catalogue/field.ts";
import { applyMends } from "../../core/catalogue/mend/apply.ts";
import { mendsKind } from "../../core/catalogue/mend/kind.ts";
import { CatalogueIndex } from "../../core/engine/index/catalogue-index.ts";
import { pagesKind } from "../../core/page/kind.ts";
import { withCollections } from "../../core/page/with-collections.ts";
import { LocalFacts } from "../../core/profile/local-facts.ts";
import { limits } from "../../core/sanitize/limits.ts";
import { type CompressedBody, keepPacked } from "../compressed-body.ts";
import type { Shop } from "./entities.ts";
import { draftKey, isDraft, type ShopSource } from "./source.ts";
import { SwatchResolver } from "./swatch-resolver.ts";

/** A shop's catalogue ready for answering, with corrections applied. */
export interface LoadedCatalogue {
  facts: LocalFacts;
  swatches: SwatchResolver;
  /**
   * The catalogue for pages with their own engine, in binary form: the fields that panels and cards can need.
   * @param only keys of the fields that the page does need
   */
  data(wanted: { text: boolean; only?: readonly string[] | undefined }): CompressedBody;
}

/** Memory of an indexed catalogue, as a multiple of its own bytes. Measured with 20,000 products. */
const indexed = 3;

/** Catalogues reduced and compressed for browsers: pages that need the same fields share one. */
type Cuts = LRUCache<string, CompressedBody>;

/** Caches the most recently used catalogues, of drafts and editions, within a memory limit. */
export class Catalogues {
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

/** @param prefix of this catalogue's names among the reduced ones */
async function load(source: ShopSource, cuts: Cuts, prefix: string): Promise<LoadedCatalogue> {
  const [imported, mends] = [await source.catalogue(), await source.read(mendsKind)];
  const pages = await source.read(pagesKind);
  const catalogue = withCollections(applyMends(imported, mends?.document.mends ?? []), pages?.document);
  const facts = new LocalFacts(new CatalogueIndex(catalogue));
  const title = titleField(catalogue)?.key;
  return {
    facts,
    swatches: new SwatchResolver(facts.index),
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

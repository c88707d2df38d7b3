import { LRUCache } from "lru-cache";
import type { EditionManifest } from "../../core/shop/archive/edition-manifest.ts";
import { stableJson } from "../../core/shop/archive/stable-json.ts";
import { hashOf } from "../hash.ts";
import type { ServedCatalogue, ServedCatalogues } from "../served-catalogue.ts";
import type { ShopSource } from "../store/source.ts";
import { SwatchResolver } from "../store/swatch-resolver.ts";
import { ColumnEngine } from "./column-engine.ts";
import type { Shard } from "./shard.ts";
import { storeFormat } from "./stored-catalogue.ts";

/** The name of an edition’s catalogue in a store: by its content, which corrections and collections are a part of. */
export const storedHash = ({ files }: Pick<EditionManifest, "files">): string =>
  hashOf(stableJson({ format: storeFormat, files }));

/** Catalogues whose products are in a column store. */
export class StoreCatalogues implements ServedCatalogues {
  readonly forgotten = 0;
  readonly #shards: readonly Shard[];
  readonly #hashOf: (source: ShopSource) => string;
  readonly #opened = new LRUCache<string, Promise<ServedCatalogue>>({ max: 50 });

  /** @param hash the name of a source’s catalogue in the store */
  constructor(shards: readonly Shard[], hash: (source: ShopSource) => string) {
    this.#shards = shards;
    this.#hashOf = hash;
  }

  stateOf(key: string): string {
    return key;
  }

  /** @throws StoreFault if the store doesn’t answer, or doesn’t have it */
  get(source: ShopSource): Promise<ServedCatalogue> {
    const known = this.#opened.get(source.key);
    if (known) return known;
    const opened = ColumnEngine.open(this.#shards, this.#hashOf(source)).then(served);
    this.#opened.set(source.key, opened);
    opened.catch(() => this.#opened.delete(source.key));
    return opened;
  }
}

function served(engine: ColumnEngine): ServedCatalogue {
  const facts = engine.pageFacts();
  return {
    served: {
      isElsewhere: true,
      isPictured: false,
      ask: (question) => engine.ask(question),
      pageFacts: () => facts,
      answer: (question, has) => engine.answer(question, has),
      product: (id) => engine.product(id),
    },
    swatches: new SwatchResolver(facts.fields, (key) => facts.optionsOf(key)),
  };
}

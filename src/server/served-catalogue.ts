import type { WireAnswer } from "../core/engine/answer.ts";
import type { Product } from "../core/engine/cards/product.ts";
import type { Engine } from "../core/engine/engine.ts";
import type { Question } from "../core/engine/question.ts";
import type { Awaitable } from "../core/profile/facts.ts";
import type { PageFacts } from "../core/profile/value-pages.ts";
import type { CompressedBody } from "./compressed-body.ts";
import type { ShopSource } from "./store/source.ts";
import type { SwatchResolver } from "./store/swatch-resolver.ts";

/** The facts of a catalogue that shoppers’ pages need, wherever it is. */
export interface ServedFacts extends Engine {
  /** Its products are elsewhere, so pages ask the server and never fetch them. */
  readonly isElsewhere: boolean;
  pageFacts(): PageFacts;
  /** Every card has a picture, whichever variant it shows; false if that is unknown. */
  readonly isPictured: boolean;
  /** The answer as sent. @param has whether the caller already has the unchanging part of a facet */
  answer(question: Question, has: (name: string) => boolean): Awaitable<WireAnswer>;
  /** A product by its id; undefined if there is none. */
  product(id: string): Awaitable<Product | undefined>;
}

/** A catalogue ready for shoppers’ pages. */
export interface ServedCatalogue {
  served: ServedFacts;
  swatches: SwatchResolver;
  /**
   * The catalogue for pages with their own engine, in binary form: the fields that panels and cards can need. Absent
   * where pages can’t fetch it.
   * @param only keys of the fields that the page does need
   */
  data?(wanted: { text: boolean; only?: readonly string[] | undefined }): CompressedBody;
}

/** Gives the catalogues of sources. */
export interface ServedCatalogues {
  get(source: ShopSource): Promise<ServedCatalogue>;
  /** Names the state of a source’s catalogue; a snapshot’s never changes. */
  stateOf(key: string): string;
  /** Number of times a draft’s was evicted. */
  readonly forgotten: number;
}

import type { Range } from "../catalogue/numbers/range-schema.ts";
import type { Engine } from "../engine/engine.ts";
import type { Facet } from "../engine/question.ts";
import type { FieldDetail } from "./field-detail.ts";
import type { ModeExample, PairCount } from "./mode-example.ts";
import type { FieldProfile } from "./profile.ts";
import type { PageFacts } from "./value-pages.ts";

/** A value, or the promise of one where it has to be fetched. */
export type Awaitable<T> = T | Promise<T>;

/**
 * Data of a catalogue for drawing, findings, suggestions and swatches, beside its counts. It can be kept anywhere:
 * here, in a worker, or behind another database.
 */
export interface Facts extends Engine {
  /** All fields with what there is to know of each, in the catalogue's order, computed ones included. */
  profiles(): Awaitable<readonly FieldProfile[]>;
  variantCount(): Awaitable<number>;
  /** The data for a shop's pages. The same object as long as the catalogue is the same. */
  pageFacts(): Awaitable<PageFacts>;
  /** Undefined if the catalogue has no such field. */
  profile(field: string): Awaitable<FieldProfile | undefined>;
  /** All that there is to say about one field. */
  detail(field: string): Awaitable<FieldDetail | undefined>;
  /** The results of the same two options under each mode; undefined if there are not two. */
  modeExample(facet: Pick<Facet, "field" | "merges">): Awaitable<ModeExample | undefined>;
  /** Of the pairs of a field's most frequent options, how many no product states together. */
  deadPairs(facet: Pick<Facet, "field" | "merges">): Awaitable<PairCount>;
  /** How much two fields say the same, from 0 to 1; see {@link agreement}. */
  agreement(field: string, other: string): Awaitable<number>;
  /** How many products state a number of a field outside of a range. */
  outside(field: string, range: Range): Awaitable<number>;
  /** How many variants state an option of a variant-level field; 0 for a product-level one. */
  variantsStating(field: string, option: string): Awaitable<number>;
}

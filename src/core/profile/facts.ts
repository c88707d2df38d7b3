import type { Range } from "../catalogue/numbers/range-schema.ts";
import type { Engine } from "../engine/engine.ts";
import type { Facet } from "../engine/question.ts";
import type { FieldDetail } from "./field-detail.ts";
import type { ModeExample, PairCount } from "./mode-example.ts";
import type { FieldProfile } from "./profile.ts";
import type { PageFacts } from "./value-pages.ts";

/** A value, or a promise of one if it has to be fetched. */
export type Awaitable<T> = T | Promise<T>;

/**
 * Data of a catalogue for drawing, findings, suggestions and swatches, besides its counts. The implementation may be
 * local, in a worker, or behind another database.
 */
export interface Facts extends Engine {
  /** The profiles of all fields, in the catalogue's order, computed ones included. */
  profiles(): Awaitable<readonly FieldProfile[]>;
  variantCount(): Awaitable<number>;
  /** The data for a shop's pages. The same object while the catalogue is unchanged. */
  pageFacts(): Awaitable<PageFacts>;
  /** Undefined if the catalogue has no such field. */
  profile(field: string): Awaitable<FieldProfile | undefined>;
  /** Everything about one field. */
  detail(field: string): Awaitable<FieldDetail | undefined>;
  /** The number of products for the same two options in each mode; undefined if there are fewer than two options. */
  modeExample(facet: Pick<Facet, "field" | "merges">): Awaitable<ModeExample | undefined>;
  /** Of the pairs of a field's most frequent options, the number that no product states together. */
  deadPairs(facet: Pick<Facet, "field" | "merges">): Awaitable<PairCount>;
  /** The agreement of two fields, from 0 to 1; see {@link agreement}. */
  agreement(field: string, other: string): Awaitable<number>;
  /** Number of products with a number of a field outside a range. */
  outside(field: string, range: Range): Awaitable<number>;
  /** Number of variants that state an option of a variant-level field; 0 for a product-level one. */
  variantsStating(field: string, option: string): Awaitable<number>;
}

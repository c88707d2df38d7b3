/** The people who may see an entry of the cache. */
export type Audience = "anyone" | "designers";

declare const made: unique symbol;
/** A key of a cache, which only {@link cacheKey} makes. */
export type CacheKey = string & { readonly [made]: true };

/** The state of a shop that a page or an answer shows: the draft, or an edition by its number. */
export type ShopState = number | "draft";

/** The draft is for designers only; what is published is for anyone. */
export const audienceOf = (state: ShopState): Audience => (state === "draft" ? "designers" : "anyone");

/**
 * The key of something that is kept: who may see it, what it is, and all that it depends on. The parts are validated
 * values. Each keeps its type and its place, so that no text of a request can look like a missing value or like two.
 */
export const cacheKey = (
  audience: Audience,
  what: string,
  ...parts: readonly (string | number | boolean | null | undefined)[]
): CacheKey => JSON.stringify([audience, what, ...parts.map((part) => part ?? null)]) as CacheKey;

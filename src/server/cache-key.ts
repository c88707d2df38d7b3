/** Readers allowed to see a cache entry. */
export type Audience = "anyone" | "designers";

declare const made: unique symbol;
/** A key of a cache, which only {@link cacheKey} makes. */
export type CacheKey = string & { readonly [made]: true };

/** A shared preview, by the secret key in its address. */
export interface PreviewState {
  preview: string;
}

/** The state of a shop in a response: the draft, an edition by number, or a shared preview. */
export type ShopState = number | "draft" | PreviewState;

/** The draft is for designers only; what is published is for anyone, and a preview for anyone who knows its key. */
export const audienceOf = (state: ShopState): Audience => (state === "draft" ? "designers" : "anyone");

/**
 * The key of a cached response: its audience, its kind, and everything it depends on. Parts are validated values. Each
 * keeps its type and position, so that no text in a request can look like a missing value or like two.
 */
export const cacheKey = (
  audience: Audience,
  what: string,
  ...parts: readonly (string | number | boolean | null | undefined)[]
): CacheKey => JSON.stringify([audience, what, ...parts.map((part) => part ?? null)]) as CacheKey;

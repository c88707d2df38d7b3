import type { Hono } from "hono";

/**
 * Draws a shop's front page for nobody, so that the first shopper after a start or a new edition does not wait for its
 * catalogue to be indexed. A failure is left to the shopper's own request, which says what it is.
 */
export async function warmShop(app: Pick<Hono, "request">, slug: string): Promise<void> {
  const path = `/shop/${encodeURIComponent(slug)}/`;
  await Promise.resolve(app.request(path, { headers: { host: "127.0.0.1" } })).catch(() => undefined);
}

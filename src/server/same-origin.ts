import type { MiddlewareHandler } from "hono";

const harmless: ReadonlySet<string> = new Set(["GET", "HEAD", "OPTIONS"]);

/**
 * Accepts changes only from pages of this server, whatever the body: forms, beacons, reports and scripts of other
 * sites are rejected. Browsers state the origin in headers that pages can’t set; other programs state it in `Origin`.
 * Source: Fetch standard (Origin), Fetch Metadata Request Headers (Sec-Fetch-Site).
 */
export const sameOrigin: MiddlewareHandler = async (c, next) => {
  if (harmless.has(c.req.method)) return next();
  const site = c.req.header("sec-fetch-site");
  const origin = c.req.header("origin");
  if (site === undefined ? isOwn(origin, c.req.header("host")) : site === "same-origin") return next();
  return c.json(
    {
      error:
        origin === undefined && site === undefined
          ? "This request would change data but has no Origin header. Send the address of this server as Origin."
          : "This request came from a different site, so nothing was changed. Use the pages of this server.",
    },
    403,
  );
};

/** Whether an origin is this server under the requested name. The scheme may differ behind a proxy with HTTPS. */
function isOwn(origin: string | undefined, host: string | undefined): boolean {
  if (origin === undefined || host === undefined) return false;
  try {
    return new URL(origin).host === host.toLowerCase();
  } catch {
    return false;
  }
}

import type { MiddlewareHandler } from "hono";

const harmless: ReadonlySet<string> = new Set(["GET", "HEAD", "OPTIONS"]);

/**
 * Lets a request change something only where it comes from a page of this very server, whatever its body is: forms,
 * beacons, reports and scripts of other sites are refused. Browsers say where a request comes from in headers that
 * pages can’t set; who uses another program says it in `Origin`.
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

/** Whether an origin is this server by the name it was asked by. The scheme may differ, where a proxy in front brings HTTPS. */
function isOwn(origin: string | undefined, host: string | undefined): boolean {
  if (origin === undefined || host === undefined) return false;
  try {
    return new URL(origin).host === host.toLowerCase();
  } catch {
    return false;
  }
}

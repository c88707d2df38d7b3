import type { MiddlewareHandler } from "hono";

const loopback = /^(?:localhost|127(?:\.\d{1,3}){3}|\[::1\])(?::\d{1,5})?$/i;

/**
 * Responds only to host names of this machine. A foreign site could make its own name point here after its page has
 * loaded (DNS rebinding); the browser would then treat this server as that site, and only the name reveals it.
 * @param names further host names, in lower case, without ports
 */
export const hostGuard =
  (names: readonly string[] = []): MiddlewareHandler =>
  async (c, next) => {
    const host = c.req.header("host") ?? "";
    if (loopback.test(host) || names.includes(host.replace(/:\d{1,5}$/, "").toLowerCase())) return next();
    const known = names[0];
    return c.text(
      known === undefined
        ? `This server answers on this machine only, and “${host.slice(0, 100)}” is not its name. Use http://127.0.0.1.`
        : `“${host.slice(0, 100)}” is not a name of this server. Use ${known}, or start it with --name for this one.`,
      403,
    );
  };

import type { MiddlewareHandler } from "hono";

const loopback = /^(?:localhost|127(?:\.\d{1,3}){3}|\[::1\])(?::\d{1,5})?$/i;

/**
 * Answers only to names that mean this machine. A foreign site can let its own name point here after its page
 * has been loaded; the browser then takes this server for that site, and only the name tells.
 * @param names by which it is reached beside those, in lower case, without ports
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

import type { MiddlewareHandler } from "hono";
import { limits } from "../core/sanitize/limits.ts";

/** After so many seconds it is worth to try again. */
const again = "1";

/**
 * A short line before heavy work: who would stand beyond its end is told so at once, and when to come again.
 * Source: RFC 9110, sections 10.2.3 and 15.6.4.
 */
export function shedLoad(longest: number = limits.waiting.max): MiddlewareHandler {
  let under = 0;
  return async (c, next) => {
    if (under >= longest) return c.text("The server is busy. Try again in a second.", 503, { "retry-after": again });
    under++;
    try {
      await next();
    } finally {
      under--;
    }
  };
}

import type { MiddlewareHandler } from "hono";
import { limits } from "../core/sanitize/limits.ts";

/** Seconds after which to try again. */
const again = "1";

/**
 * A short queue for heavy work: requests beyond its end are rejected at once, with the time to try again. Source: RFC
 * 9110, sections 10.2.3 and 15.6.4.
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

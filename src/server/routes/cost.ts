import type { MiddlewareHandler } from "hono";
import type { Offload } from "./offload.ts";

/**
 * What answering a request costs. Each route that reads a shop says its own, so that the main thread is never held up:
 * a light one is answered at once, a quick one reads the catalogue, a long one may take a second or more.
 */
export type Cost = "light" | "quick" | "long";

/** By cost, the middleware that a route begins with. */
export type Costs = Readonly<Record<Cost, MiddlewareHandler>>;

const costs = new WeakMap<object, Cost>();

/**
 * The middlewares by cost.
 * @param offload answers a request in a thread for quick or long work; without it everything is answered in this thread
 */
export function costsOf(offload?: Readonly<Record<"quick" | "long", Offload>>): Costs {
  const made = (cost: Cost): MiddlewareHandler => {
    const there = cost === "light" ? undefined : offload?.[cost];
    const middleware: MiddlewareHandler = there ? (c) => there(c) : (_c, next) => next();
    costs.set(middleware, cost);
    return middleware;
  };
  return { light: made("light"), quick: made("quick"), long: made("long") };
}

/** The cost that a middleware stands for; undefined for any other. */
export const costOf = (middleware: object): Cost | undefined => costs.get(middleware);

import type { MiddlewareHandler } from "hono";
import type { Offload } from "./offload.ts";

/**
 * The cost of answering a request. Each route that reads a shop declares its own, so that the main thread is never
 * blocked: light ones are answered at once, quick ones read the catalogue, long ones may take a second or more.
 */
export type Cost = "light" | "quick" | "long";

/** By cost, the middleware that a route starts with. */
export type Costs = Readonly<Record<Cost, MiddlewareHandler>>;

const costs = new WeakMap<object, Cost>();

/**
 * The middlewares by cost.
 * @param offload answers a request in a thread for quick or long work; without it everything runs in this thread
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

/** The cost that a middleware declares; undefined for any other. */
export const costOf = (middleware: object): Cost | undefined => costs.get(middleware);

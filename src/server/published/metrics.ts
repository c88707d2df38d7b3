import type { MiddlewareHandler } from "hono";
import { Counter, collectDefaultMetrics, Gauge, Histogram, Registry } from "prom-client";

/** Upper limits of the latency histogram, in seconds. */
const buckets = [0.001, 0.0025, 0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10];

/** The label of a path: one for all pages, so that their number does not grow with the catalogue. */
function routeOf(path: string): string {
  if (/^\/(?:shop|edition)\//.test(path)) return "page";
  const [, api] = /^\/api\/shops\/[^/]+\/(ask|data|suggest)$/.exec(path) ?? [];
  if (api !== undefined) return api;
  const [, file] = /^\/(storefront|fonts|pictures|demo)\//.exec(path) ?? [];
  return file ?? "other";
}

/** Measurements of one process, in the Prometheus text format. Source: Prometheus exposition formats, version 0.0.4. */
export class Metrics {
  readonly #registry = new Registry();
  readonly #requests = new Counter({
    name: "trellis_requests_total",
    help: "Answered requests",
    labelNames: ["route", "status"],
    registers: [this.#registry],
  });
  readonly #seconds = new Histogram({
    name: "trellis_request_seconds",
    help: "Time until a request is answered",
    labelNames: ["route"],
    buckets,
    registers: [this.#registry],
  });
  readonly #edition = new Gauge({
    name: "trellis_edition",
    help: "Number of the edition that shoppers see",
    labelNames: ["shop"],
    registers: [this.#registry],
  });

  constructor() {
    collectDefaultMetrics({ register: this.#registry });
  }

  /** Counts and times every request. */
  readonly measure: MiddlewareHandler = async (c, next) => {
    const route = routeOf(c.req.path);
    const end = this.#seconds.startTimer({ route });
    await next();
    end();
    this.#requests.inc({ route, status: c.res.status });
  };

  /** The text of all measurements, and its content type. */
  async text(shops: readonly { shop: string; edition: number }[]): Promise<{ text: string; type: string }> {
    for (const { shop, edition } of shops) this.#edition.set({ shop }, edition);
    return { text: await this.#registry.metrics(), type: this.#registry.contentType };
  }
}

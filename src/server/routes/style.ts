import { Hono } from "hono";
import { etag } from "hono/etag";
import { LRUCache } from "lru-cache";
import { type BandLimits, bands } from "../../core/band/band.ts";
import { bandQueries, fixedQueries } from "../../core/band/media.ts";
import { type DisplayName, displayNames } from "../../core/display/displays.ts";
import { Fault } from "../fault.ts";
import { styleSheet } from "../style-sheet.ts";

/** Where the style sheet for some displays is, with bands from these limits on; on the stage, where every display is at hand, with more. */
export const styleAddress = (displays: readonly DisplayName[], { medium, wide }: BandLimits, stage: boolean): string =>
  `/storefront/style.css?${stage ? "stage" : `displays=${[...displays].sort().join(",")}`}&medium=${medium}&wide=${wide}`;

const known: ReadonlySet<string> = new Set(displayNames);
const isDisplay = (name: string): name is DisplayName => known.has(name);

/** The style sheets of shop pages, made to measure: `displays` names those used (all where it is absent), `band` one band that always holds. */
export function styles(): Hono {
  const made = new LRUCache<string, string>({ max: 100 });
  const app = new Hono();
  app.use(etag());
  app.get("/style.css", (c) => {
    const { displays, medium = "750", wide = "1000", stage } = c.req.query();
    const band = bands.find((one) => one === c.req.query("band"));
    const limits = { medium: Number(medium), wide: Number(wide) };
    if (!Number.isSafeInteger(limits.medium) || !Number.isSafeInteger(limits.wide) || limits.medium >= limits.wide)
      throw new Fault(400, "The limits of the bands must be whole numbers, the medium one below the wide one.");
    const names = displays === undefined ? displayNames : displays.split(",").filter(isDisplay);
    const wanted = {
      queries: band ? fixedQueries(band) : bandQueries(limits),
      displays: names,
      stage: stage !== undefined,
    };
    const name = JSON.stringify(wanted);
    const css = made.get(name) ?? styleSheet(wanted);
    made.set(name, css);
    return c.body(css, 200, { "content-type": "text/css; charset=utf-8", "cache-control": "no-cache" });
  });
  app.onError((error, c) => c.text(error.message, error instanceof Fault ? error.status : 500));
  return app;
}

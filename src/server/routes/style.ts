import { Hono } from "hono";
import { LRUCache } from "lru-cache";
import { type DisplayName, displayNames } from "../../core/displays/displays.ts";
import { type BandLimits, bands } from "../../core/settings/band.ts";
import { bandQueries, fixedQueries } from "../../core/settings/media.ts";
import { immutable } from "../cache-control.ts";
import { CompressedBody } from "../compressed-body.ts";
import { HttpError } from "../http-error.ts";
import { type SheetRequest, styleSheet } from "../style-sheet.ts";

const made = new LRUCache<string, Sheet>({ max: 100 });

/** A compressed style sheet, and the hash of its content for addresses. */
interface Sheet {
  packed: CompressedBody;
  version: string;
}

/** A style sheet, cached for everybody who requests it. */
function sheetFor(wanted: SheetRequest): Sheet {
  const name = JSON.stringify(wanted);
  const known = made.get(name);
  if (known) return known;
  const packed = new CompressedBody(new TextEncoder().encode(styleSheet(wanted)));
  const sheet = { packed, version: packed.tag.slice(1, 13) };
  made.set(name, sheet);
  return sheet;
}

/**
 * The address of the style sheet for some displays and band limits; on the stage with rules for every display. It
 * contains a hash of the content, so that it can be cached for ever.
 */
export function styleAddress(displays: readonly DisplayName[], limits: BandLimits, stage: boolean): string {
  const names = stage ? displayNames : [...displays].sort();
  const { version } = sheetFor({ queries: bandQueries(limits), displays: names, stage });
  const { medium, wide } = limits;
  return `/storefront/style.css?${stage ? "stage=" : `displays=${names.join(",")}`}&medium=${medium}&wide=${wide}&v=${version}`;
}

const known: ReadonlySet<string> = new Set(displayNames);
const isDisplay = (name: string): name is DisplayName => known.has(name);

/**
 * The style sheets of shop pages on request: `displays` lists the displays (all if absent), `band` one band that
 * always applies.
 */
export function styles(): Hono {
  const app = new Hono();
  app.get("/style.css", (c) => {
    const { displays, medium = "750", wide = "1000", stage, v } = c.req.query();
    const band = bands.find((one) => one === c.req.query("band"));
    const limits = { medium: Number(medium), wide: Number(wide) };
    if (!Number.isSafeInteger(limits.medium) || !Number.isSafeInteger(limits.wide) || limits.medium >= limits.wide)
      throw new HttpError(400, "Band limits must be whole numbers, and medium must be less than wide.");
    const names = displays === undefined ? displayNames : displays.split(",").filter(isDisplay);
    const { packed, version } = sheetFor({
      queries: band ? fixedQueries(band) : bandQueries(limits),
      displays: names,
      stage: stage !== undefined,
    });
    return packed.answer(c.req.raw, "text/css; charset=utf-8", v === version ? immutable : "no-cache");
  });
  app.onError((error, c) => c.text(error.message, error instanceof HttpError ? error.status : 500));
  return app;
}

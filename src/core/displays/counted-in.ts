import type { RangeSpec } from "../engine/question.ts";
import type { FacetSettings } from "../settings/settings.ts";

/** The ranges of a number line that a facet is counted in, by its settings on a band. */
export type RangeCounting = (settings: Pick<FacetSettings, "rangeBy" | "rangeCount" | "rangeLimits">) => RangeSpec;

/**
 * By display, the ranges that it counts in. A shop page asks by it, so it stands apart from the definitions,
 * whose words are the designer's; each definition that counts in ranges takes its own from here.
 */
export const countedIn = {
  "price-ranges": ({ rangeBy, rangeCount, rangeLimits }) =>
    rangeBy === "typed" ? { limits: rangeLimits } : { by: rangeBy, parts: rangeCount },
  stars: () => ({ by: "stars", parts: 4 }),
} satisfies Record<string, RangeCounting>;

/** How a display counts in ranges; undefined when it does not. @param display the name of any display */
export const countingOf = (display: string): RangeCounting | undefined =>
  Object.hasOwn(countedIn, display) ? countedIn[display as keyof typeof countedIn] : undefined;

import type { PageVisits } from "../api/visit-report.ts";
import { knownBounds } from "./visits.ts";

/** Visits with a choice in a field from which its share is estimated. Common practice, no source. */
const enough = 5;

/**
 * By field, the share of shoppers who know what their product has, as trial runs assume it: visits with a choice in the
 * field, of visits with any choice. Fields with fewer than five such visits are left out: choices say nothing about what
 * shoppers know but are not asked in sight.
 */
export function knownFromVisits({ fields, choosing }: Pick<PageVisits, "fields" | "choosing">): Record<string, number> {
  return Object.fromEntries(
    fields
      .filter(({ used }) => used.hits >= enough && choosing.hits > 0)
      .map(({ field, used }) => [
        field,
        Math.min(knownBounds.most, Math.max(knownBounds.least, used.hits / choosing.hits)),
      ]),
  );
}

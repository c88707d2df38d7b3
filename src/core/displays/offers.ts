import { pathSeparator } from "../catalogue/path.ts";
import { affirmative } from "../catalogue/yes-no.ts";
import type { FacetSettings } from "../settings/settings.ts";

/** Of the options that a panel shows, those that a display lets shoppers choose; by identity, in the order shown. */
export type Offers = (ids: readonly string[], settings: Pick<FacetSettings, "nested">) => readonly string[];

/** A switch stands for yes alone; where nothing says yes, for the first option. */
const one: Offers = (ids) => {
  const yes = ids.find((id) => affirmative.has(id)) ?? ids[0];
  return yes === undefined ? [] : [yes];
};

/** A flat tree has no branches: only what has nothing below it can be chosen. */
const leaves: Offers = (ids, { nested }) => {
  if (nested) return ids;
  const above = new Set(ids.flatMap(ancestors));
  return ids.filter((id) => !above.has(id));
};

/** The paths above one, the shortest first. */
export function ancestors(id: string): string[] {
  const levels = id.split(pathSeparator);
  return levels.slice(0, -1).map((_, depth) => levels.slice(0, depth + 1).join(pathSeparator));
}

/**
 * By display, which options it offers; all of them where it is not listed. A shop page goes by it, so it stands apart
 * from the definitions, whose words are the designer's.
 */
export const displayOffers: Readonly<Record<string, Offers>> = { switch: one, tree: leaves };

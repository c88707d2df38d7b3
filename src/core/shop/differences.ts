import { differing, quoted, same } from "../document/differences.ts";
import type { ShopDocument } from "./shop-schema.ts";
import { siteOf } from "./site.ts";

/** Lists the changes of a shop's settings. @param nameOf the label of a field for shoppers */
export function* settingDifferences(
  before: ShopDocument,
  after: ShopDocument,
  nameOf: (field: string) => string,
): Generator<string> {
  const { limits, languages, look } = after;
  if (!same(before.limits, limits)) yield `medium starts at ${limits.medium} px, wide at ${limits.wide} px`;
  if (!same(before.languages, languages)) yield `is in the languages ${languages.join(", ") || "its own only"}`;
  if (before.look !== look) yield look === undefined ? "uses the default look" : `uses the look ${quoted(look)}`;
  const [wasSite, site] = [siteOf(before), siteOf(after)];
  if (wasSite.at !== site.at) yield `its files are at ${quoted(site.at)} on the site`;
  if (wasSite.link !== site.link) yield `its products are at ${quoted(site.link)} on the site`;
  if (wasSite.action !== site.action)
    yield site.action === "" ? "panels keep choices on their page" : `panels send choices to ${quoted(site.action)}`;
  for (const key of differing(wasSite.names, site.names))
    yield `${nameOf(key)} has the name ${quoted(site.names[key] ?? key)} in the site’s queries`;
}

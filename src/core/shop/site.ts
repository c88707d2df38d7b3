import { nameIn, namesOf } from "../page/browse-state/address.ts";
import { isRelativePlace, isSafeAddress } from "../sanitize/safe-address.ts";
import type { ShopDocument, Site } from "./shop-schema.ts";

/** The default site settings. */
export const defaultSite: Site = { at: "/trellis/", link: "/products/{id}?variant={variant}", action: "", names: {} };

/** The settings of a shop's site. */
export const siteOf = ({ site }: Pick<ShopDocument, "site">): Site => site ?? defaultSite;

/** The fault in a site's settings, in a sentence; undefined if there is none. @param keys of the panels' fields */
export function siteFault({ at, link, action, names }: Site, keys: Iterable<string>): string | undefined {
  if (!at.endsWith("/") || !(isSafeAddress(at) || isRelativePlace(at)))
    return `The files can’t be at “${at}”. Use a path like /trellis/, ./trellis/ or https://files.example/trellis/, with a slash at its end.`;
  if (!(isSafeAddress(link) || isRelativePlace(link)))
    return `Products can’t be at “${link}”. Use a path like /products/{id}, or an address that begins with https://.`;
  if (action !== "" && !(isSafeAddress(action) || isRelativePlace(action)))
    return `Choices can’t go to “${action}”. Use a path like /shop, or an address that begins with https://.`;
  const taken = new Map<string, string>();
  for (const key of ["q", "sort", "page", ...keys]) {
    const name = nameIn(names, key);
    if (!/^[\p{L}\p{N}_~.-]+$/u.test(name))
      return `“${key}” has the name “${name}” in queries. Use letters, digits, dots, hyphens and underscores.`;
    for (const one of namesOf(name)) {
      const other = taken.get(one);
      if (other !== undefined)
        return `“${key}” and “${other}” both have the name “${one}” in queries. Rename one of them.`;
      taken.set(one, key);
    }
  }
  return undefined;
}

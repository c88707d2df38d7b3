import { fieldKey } from "../catalogue/field.ts";
import { collectionAddress } from "./page-list.ts";
import type { PagesDocument } from "./pages-schema.ts";

/** A slug from a page's name. */
export const slugOf = (name: string): string => fieldKey(name, new Set(), "untitled");

/** Whether a slug was derived from a name, possibly with a number because another page had it. */
export const isSlugOf = (slug: string, name: string): boolean =>
  slug === slugOf(name) || slug.replace(/-\d+$/, "") === slugOf(name);

/**
 * Changes a page's address wherever the shop's pages use it: in exceptions, in the menu and in links.
 * @param perValue whether it is the prefix of a collection's pages per value, which change too
 */
export function moveAddress(pages: PagesDocument, from: string, to: string, perValue: boolean): void {
  if (from === to) return;
  const own = new Set(pages.collections.map(({ slug }) => collectionAddress(slug)));
  const isBelow = (address: string, rest: string): boolean =>
    perValue && rest.startsWith("-") && !own.has(address.split(/[?#]/, 1)[0] ?? "");
  const writings = [from, encodeURI(from)];
  const moved = (address: string): string => {
    for (const old of writings) {
      const rest = address.slice(old.length);
      if (address.startsWith(old) && (/^(?:[?#]|$)/.test(rest) || isBelow(address, rest))) return to + rest;
    }
    return address;
  };
  const inText = (html: string): string =>
    html.replace(/(<a href=")([^"]{1,2000})"/g, (_, start: string, address: string) => `${start}${moved(address)}"`);
  pages.exceptions = Object.fromEntries(
    Object.entries(pages.exceptions).map(([address, layout]) => [moved(address), layout]),
  );
  for (const entry of pages.menu) entry.to = moved(entry.to);
  for (const page of [...pages.collections, ...pages.articles]) page.html = inText(page.html);
}

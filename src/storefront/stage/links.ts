import type { PageStore } from "../page/store.ts";
import type { FromStage } from "./messages.ts";

/**
 * Keeps the page in its frame: links to other pages of the shop open on the stage, through the bench, and all others
 * beside the tool.
 */
export function keepLinks(store: PageStore, tell: (message: FromStage) => void): void {
  document.addEventListener("click", (event) => {
    const link = event.target instanceof Element ? event.target.closest<HTMLAnchorElement>("a[href]") : null;
    if (!link || event.defaultPrevented || event.ctrlKey || event.metaKey || event.shiftKey) return;
    const address = addressIn(link.href, store.state.base);
    if (link.hash !== "" && link.pathname === location.pathname) return;
    if (address === undefined) {
      link.target = "_blank";
      return;
    }
    event.preventDefault();
    tell({ zt: "go", address });
  });
}

/** The address within the shop of a page with products or an article; undefined for other addresses. */
export function addressIn(href: string, base: string): string | undefined {
  const { origin, pathname } = new URL(href, location.href);
  if (origin !== location.origin || !pathname.startsWith(`${base}/`)) return undefined;
  const address = decodeURI(pathname.slice(base.length));
  return address.startsWith("/products/") ? undefined : address;
}

import { containedCss } from "../../look/extra-css.ts";
import type { LookDocument } from "../../look/look-schema.ts";
import type { LookedPanel } from "./page-look.ts";

/**
 * The extra CSS of a page's looks, each limited to its panels. Separate from `page-look.ts`, since it needs a parser.
 */
export function pageExtra(shop: Pick<LookDocument, "css">, panels: readonly LookedPanel[]): string {
  const drawnIn = new Map<Pick<LookDocument, "css">, string[]>();
  for (const { slug, look } of panels)
    drawnIn.set(look ?? shop, [...(drawnIn.get(look ?? shop) ?? []), `[data-of="${slug}"]`]);
  return [...drawnIn].map(([{ css }, slugs]) => containedCss(css, `:is(${slugs.join(", ")})`)).join("");
}

import type { LookDocument } from "../../look/look-schema.ts";
import type { TokenValues } from "../../look/resolve.ts";
import { apartSheet, lookSheet, ownSheet } from "../../look/sheet.ts";
import { facetRows } from "../panel.ts";
import type { PanelDocument } from "../panel-schema.ts";

/** A panel with the look that it is drawn in. */
export interface LookedPanel {
  slug: string;
  panel: Pick<PanelDocument, "rows">;
  /** Absent if it is the page's own look. */
  look?: LookDocument | undefined;
}

/** A look that sets nothing. */
export const plainLook: Pick<LookDocument, "values" | "dark" | "styles" | "css"> = {
  values: {},
  dark: {},
  styles: [],
  css: "",
};

/** Default values of all tokens, for every page. */
export const defaultLookSheet = (): string => lookSheet({ values: {}, dark: {} }, ":root, :host");

/**
 * The rules of a page's looks, in the layer `look`: the shop's for all of it, a panel's own where it differs, and the
 * own values of single facets. `@media (--slim)`, `(--dark)` and so on are still to be resolved.
 */
export function pageLook(
  shop: Pick<LookDocument, "values" | "dark" | "styles" | "css">,
  panels: readonly LookedPanel[],
): string {
  const sheets = [ownSheet(shop, ":root, :host")];
  for (const { slug, panel, look } of panels) {
    const at = `[data-of="${slug}"]`;
    const holds = look ?? shop;
    if (look) sheets.push(apartSheet(shop, look, at));
    for (const row of facetRows(panel)) {
      const style = holds.styles.find(({ id }) => id === row.style);
      const apart: TokenValues = { ...style?.values, ...row.look };
      if (Object.keys(apart).length > 0)
        sheets.push(apartSheet(holds, { ...holds, values: apart }, `${at} [data-row="${row.id}"]`, false));
    }
  }
  return `@layer look {\n${sheets.join("")}}\n`;
}

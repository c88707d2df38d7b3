import { bands, resolve } from "../../settings/band.ts";
import { fitsPage } from "../../settings/placement.ts";
import type { PageFindingKind } from "./page-finding.ts";

/** A panel placed where its page has no slot. */
export const unreachedSlot: PageFindingKind = {
  name: "unreached-slot",
  level: "error",
  find({ page, panels }) {
    const isArticle = page.kind === "article";
    return page.layout.panels.flatMap(({ panel, at }) => {
      const own = panels.get(panel);
      if (!own) return [];
      const lost = bands.filter((band) => {
        return !fitsPage(resolve(at ?? own.placement, band), { isArticle, listing: !isArticle || page.layout.listing });
      });
      if (lost.length === 0) return [];
      const why = isArticle ? "the article lists no products" : "the page is not an article";
      return [
        {
          panel,
          words: `“${own.name}” does not appear on ${lost.join(" and ")}: ${why}. Choose a different position on this page.`,
        },
      ];
    });
  },
};

import { resolve } from "../../settings/band.ts";
import { placementFacts } from "../../settings/placement.ts";
import type { PageFindingKind } from "./page-finding.ts";

/** A page with panels, but none on the slim band. */
export const noPhonePanel: PageFindingKind = {
  name: "no-phone-panel",
  level: "error",
  find({ page, panels }) {
    const standing = page.layout.panels.flatMap(({ panel, at }) => {
      const own = panels.get(panel);
      return own && own.rows.length > 0 ? [{ panel, placement: at ?? own.placement, isOwn: at === undefined }] : [];
    });
    const isThere = (band: "wide" | "slim") =>
      standing.some(({ placement }) => placementFacts[resolve(placement, band)].form !== "hidden");
    const [first] = standing;
    if (!first || !isThere("wide") || isThere("slim")) return [];
    const words = "On a phone this page has no panel at all.";
    // If the page itself places the panel, changing the panel's own placement would have no effect here.
    if (!first.isOwn) return [{ panel: first.panel, words }];
    const step = { do: "place", band: "slim", placement: "drawer" } as const;
    return [{ panel: first.panel, words, remedy: { words: "Put it in a drawer", step } }];
  },
};

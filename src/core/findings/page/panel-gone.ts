import type { PageFindingKind } from "./page-finding.ts";

/** A panel that a page names and the shop no longer has. */
export const panelGone: PageFindingKind = {
  name: "panel-gone",
  level: "error",
  find: ({ page, panels }) =>
    page.layout.panels
      .filter(({ panel }) => !panels.has(panel))
      .map(({ panel }) => ({
        panel,
        words: `The panel “${panel}” was removed, so this page shows nothing in its place.`,
      })),
};

import type { HandoffReport } from "../../core/api/handoff.ts";

/** The contents of a handoff, in lines. */
export function reportText({ pages, panels, displays, sizes }: HandoffReport): string {
  const kB = (bytes: number) => `${(bytes / 1000).toFixed(1)} kB`;
  return [
    `${panels} ${panels === 1 ? "panel" : "panels"} on ${pages} ${pages === 1 ? "page" : "pages"}, with ${displays.length} displays.`,
    `Gzipped: script ${kB(sizes.script)}, engine ${kB(sizes.engine)}, style sheet ${kB(sizes.style)}, shop ${kB(sizes.shop)},`,
    `catalogue ${kB(sizes.catalogue)}, what cards show ${kB(sizes.cards)}.`,
  ].join("\n");
}

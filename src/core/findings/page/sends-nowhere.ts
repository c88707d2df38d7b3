import { layoutAt } from "../../page/shown-page.ts";
import { facetRows } from "../../panel/panel.ts";
import { behaviours } from "../../settings/behaviour.ts";
import type { PageFindingKind } from "./page-finding.ts";

/** A panel that takes choices to a page which is not there, or does not ask the same. */
export const sendsNowhere: PageFindingKind = {
  name: "sends-nowhere",
  level: "error",
  find({ page, pages, panels, all, pageAt }) {
    return [...panels].flatMap(([slug, panel]) => {
      const to = behaviours.on(panel.behaviour ?? {}, "sendTo", "wide");
      // An article without products has nothing to filter.
      if (to === "" && page.kind === "article" && !page.layout.listing)
        return [
          {
            panel: slug,
            words: `Choices in “${panel.name}” show nothing: the article lists no products, and the panel sends them nowhere.`,
          },
        ];
      if (to === "") return [];
      const target = pageAt(to);
      if (!target)
        return [
          {
            panel: slug,
            words: `“${panel.name}” sends shoppers to ${to}, which doesn’t exist. They stay on this page instead.`,
          },
        ];
      if (to === page.address)
        return [{ panel: slug, words: `“${panel.name}” sends shoppers to the page they are already on.` }];
      const there = layoutAt(target, pages, all.keys().next().value).panels.flatMap((one) => all.get(one.panel) ?? []);
      const back = there.find((other) => behaviours.on(other.behaviour ?? {}, "sendTo", "wide") === page.address);
      const loop = back
        ? [
            {
              panel: slug,
              words: `“${panel.name}” sends shoppers to ${to}, and “${back.name}” there sends them back here.`,
            },
          ]
        : [];
      const asked = new Set(there.flatMap((one) => facetRows(one).map(({ field }) => field)));
      const lost = facetRows(panel).filter(({ field }) => !asked.has(field));
      const names = lost.map(({ label, field }) => label || field).join(", ");
      const missing =
        lost.length > 0
          ? [
              {
                panel: slug,
                words: `“${panel.name}” sends choices to ${to}, but no panel there has ${names}, so those choices would be lost.`,
              },
            ]
          : [];
      return [...loop, ...missing];
    });
  },
};

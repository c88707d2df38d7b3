import { type Band, bands, resolve } from "../settings/band.ts";
import { type Behaviour, behaviours } from "../settings/behaviour.ts";
import { type Placement, placementFacts } from "../settings/placement.ts";
import { type Share, settingOn } from "../settings/settings.ts";
import { type FindingDraft, inEachFacet } from "./finding.ts";

/**
 * Content width of the narrowest page of each band, and of a column beside the products, in CSS px. Common practice,
 * no source.
 */
const pageWidth: Readonly<Record<Band, number>> = { wide: 952, medium: 702, slim: 312 };
const columnWidth = 240;
/**
 * Gap between adjacent facets, width of a letter, and width of the space beside a word, in CSS px at 16 px text. From
 * memory.
 */
const between = 24;
const letter = 8;
const beside = 52;

const parts: Readonly<Record<Share, number>> = { auto: 1, full: 1, half: 2, third: 3, quarter: 4 };

function panelWidth(placement: Placement, band: Band, { drawerWidth, float, floatWidth }: Behaviour): number {
  switch (placementFacts[placement].form) {
    case "column":
      return columnWidth;
    case "drawer":
      return Math.min(drawerWidth, pageWidth[band]) - 2 * between;
    case "inset":
      return float === "none" ? Math.min(640, pageWidth[band]) : floatWidth - 2 * between;
    default:
      return pageWidth[band];
  }
}

/** A facet too narrow for its longest word. */
export const squeezed = inEachFacet({
  name: "squeezed",
  level: "warning",
  find({ row, title, found }, { panel }) {
    const words = (found?.options ?? []).flatMap(({ label }) => label.split(/[\s/-]/));
    const longest = words.reduce((long, word) => (word.length > long.length ? word : long), "");
    if (longest === "") return undefined;
    const needed = longest.length * letter + beside;
    return bands.flatMap((band): FindingDraft[] => {
      const share = settingOn(row.settings, "share", band);
      const placement = resolve(panel.placement, band);
      const width = panelWidth(placement, band, behaviours.allOn(panel.behaviour ?? {}, band));
      const room = Math.round((width - (parts[share] - 1) * between) / parts[share]);
      if (parts[share] === 1 || room >= needed || placementFacts[placement].form === "hidden") return [];
      const fraction = { half: "½", third: "⅓", quarter: "¼", auto: "", full: "" }[share];
      const value = { ...(row.settings.share as { wide: Share } | undefined), [band]: "full" } as { wide: Share };
      return [
        {
          row: row.id,
          band,
          words: `${title} has ${fraction} of the width on ${band}, about ${room} px, but “${longest}” needs about ${needed} px.`,
          remedy: {
            words: `Full width on ${band}`,
            step: { do: "set", row: row.id, setting: "share", value },
          },
        },
      ];
    });
  },
});

import { supportsSetting } from "../panel/choose-display.ts";
import { bands } from "../settings/band.ts";
import { inEachFacet } from "./finding.ts";

/** A slider whose products all share one value, so that moving it makes no difference. */
export const oneBar = inEachFacet({
  name: "one-bar",
  level: "warning",
  find({ row, title, found }, { answer: { outOf } }) {
    const slides = bands.some((band) => supportsSetting(row, "histogram", band));
    const counts = found?.range?.steady.histogram?.counts.filter((count) => count > 0);
    if (!slides || !found || !counts || counts.length !== 1 || outOf < 2) return undefined;
    return {
      row: row.id,
      words: `${title}: all ${found.reach} products fall into one histogram bar, so the slider can’t narrow them down.`,
      remedy: { words: `Remove ${title}`, step: { do: "remove", row: row.id } },
    };
  },
});

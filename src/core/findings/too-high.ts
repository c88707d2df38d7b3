import { supportsSetting } from "../panel/choose-display.ts";
import { bands } from "../settings/band.ts";
import { settingOn } from "../settings/settings.ts";
import { type FindingDraft, inEachFacet } from "./finding.ts";

/** Maximum share of the screen for one facet. */
const most = 0.6;

/** A facet that fills most of the screen by itself. */
export const tooHigh = inEachFacet({
  name: "too-high",
  level: "warning",
  needs: "measures",
  find: ({ row, title }, { measures }) =>
    bands.flatMap((band): FindingDraft[] => {
      const measure = measures[band];
      const height = measure?.rows[row.id];
      if (!measure || height === undefined || height <= measure.screen * most) return [];
      const folds = supportsSetting(row, "foldAfter", band) && settingOn(row.settings, "foldAfter", band) === 0;
      const words = `${title} is ${Math.round(height)} px high on ${band}, ${Math.round((height / measure.screen) * 100)}% of the screen.`;
      const remedy = folds
        ? ({
            words: "Fold after 8",
            step: { do: "set", row: row.id, setting: "foldAfter", value: { wide: 8 } },
          } as const)
        : ({
            words: "Limit it to 200 px",
            step: { do: "set", row: row.id, setting: "maxHeight", value: { wide: 200 } },
          } as const);
      return [{ row: row.id, band, words, remedy }];
    }),
});

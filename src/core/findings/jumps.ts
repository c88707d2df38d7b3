import { bands } from "../settings/band.ts";
import { settingOn } from "../settings/settings.ts";
import { type FindingDraft, inEachFacet } from "./finding.ts";
import type { TrialStep } from "./layout-shift.ts";

/** Shift score from which a step is reported. Source: Core Web Vitals, the limit of a good CLS. */
const most = 0.1;
const spoken: Record<TrialStep, string> = {
  choose: "a choice in it",
  "take back": "removing a choice",
  fold: "folding it",
  open: "opening it",
};

/** A facet with a step that moves the page. Folding is requested and expected; the rest is a surprise. */
export const jumps = inEachFacet({
  name: "jumps",
  level: "warning",
  needs: "measures",
  find: ({ row, title }, { measures }) =>
    bands.flatMap((band): FindingDraft[] => {
      const shift = measures[band]?.shifts?.find((one) => one.row === row.id);
      if (!shift || shift.felt <= most || shift.step === "fold" || shift.step === "open") return [];
      const drops = settingOn(row.settings, "emptyOptions", band) === "drop";
      const words = `${title}: ${spoken[shift.step]} makes the page jump by ${shift.felt.toFixed(2)} on ${band}.`;
      const remedy = drops
        ? ({
            words: "Fade empty options",
            step: { do: "set", row: row.id, setting: "emptyOptions", value: "fade" },
          } as const)
        : ({
            words: "Limit it to 200 px",
            step: { do: "set", row: row.id, setting: "maxHeight", value: { wide: 200 } },
          } as const);
      return [{ row: row.id, band, words, remedy }];
    }),
});

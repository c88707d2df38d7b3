import { isShown } from "../panel/options.ts";
import { rulesOf } from "../panel/panel.ts";
import { settingOn } from "../settings/settings.ts";
import { inEachFacet } from "./finding.ts";

/** Options that lead to nothing at the moment and look like the others. */
export const deadEndsKept = inEachFacet({
  name: "dead-ends-kept",
  level: "warning",
  find({ row, title, found }) {
    if (!found || found.range || settingOn(row.settings, "emptyOptions", "wide") !== "keep") return undefined;
    const rules = rulesOf(row);
    const dead = found.options.filter(({ id }, o) => isShown(rules, id) && found.counts.live[o] === 0).length;
    if (dead === 0) return undefined;
    return {
      row: row.id,
      words: `${title}: ${dead} of ${found.options.length} options have no products now but look like the others.`,
      remedy: { words: "Fade them", step: { do: "set", row: row.id, setting: "emptyOptions", value: "fade" } },
    };
  },
});

import { supportsSetting } from "../panel/choose-display.ts";
import { isShown } from "../panel/options.ts";
import { rulesOf } from "../panel/panel.ts";
import { readAtOnce } from "../panel/suggest/suggest.ts";
import { settingOn } from "../settings/settings.ts";
import { inEachFacet } from "./finding.ts";

/** More options in an open list than a person would read, without a search field. */
export const manyOptions = inEachFacet({
  name: "many-options",
  level: "note",
  find({ row, title, found }) {
    if (!found || found.range || row.mode === "tree" || !supportsSetting(row, "searchInside", "wide")) return undefined;
    if (settingOn(row.settings, "searchInside", "wide")) return undefined;
    const rules = rulesOf(row);
    const shown = found.options.filter(({ id }, o) => isShown(rules, id) && (found.counts.steady[o] ?? 0) > 0).length;
    if (shown <= readAtOnce) return undefined;
    return {
      row: row.id,
      words: `${title} has ${shown} options and no search: too many to scan.`,
      remedy: {
        words: "Put a search inside",
        step: { do: "set", row: row.id, setting: "searchInside", value: { wide: true } },
      },
    };
  },
});

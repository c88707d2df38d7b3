import { settingOn } from "../settings/settings.ts";
import { inEachFacet } from "./finding.ts";

/** Counts that ignore the other facets' choices, and so promise more than shoppers get. */
export const steadyCounts = inEachFacet({
  name: "steady-counts",
  level: "warning",
  find({ row, title, found }, { selection }) {
    if (!found || found.range || settingOn(row.settings, "counting", "wide") !== "steady") return undefined;
    const others = Object.keys(selection.choices).some((key) => key !== row.field) || selection.text !== "";
    const wrong = found.options
      .map((option, o) => ({ label: option.label, told: found.counts.steady[o] ?? 0, got: found.counts.live[o] ?? 0 }))
      .filter(({ told, got }) => told !== got);
    const [worst] = wrong.toSorted((a, b) => b.told - b.got - (a.told - a.got));
    return {
      row: row.id,
      words:
        others && worst
          ? `${title}: ${wrong.length} counts ignore the current choices; “${worst.label} ${worst.told}” actually finds ${worst.got}.`
          : `${title}: its counts ignore choices in other facets, so they can promise more products than there are.`,
      remedy: {
        words: "Update counts with every choice",
        step: { do: "set", row: row.id, setting: "counting", value: "live" },
      },
    };
  },
});

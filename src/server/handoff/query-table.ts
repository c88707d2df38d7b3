import type { Field } from "../../core/catalogue/field.ts";
import { isDay } from "../../core/catalogue/field-kinds.ts";
import { nameIn, type QueryNames, rangeNames } from "../../core/page/browse-state/address.ts";
import { facetRows, rowLabel } from "../../core/panel/panel.ts";
import type { PagePanel } from "../../storefront/page/page-panel.ts";
import type { Say } from "../../storefront/words/say.ts";

const meanings = {
  any: "any of these values; can appear several times",
  all: "all of these values; can appear several times",
  one: "this value",
  tree: "this category or one below it, its levels joined by “ > ”",
} as const;

/** A table of the queries that panels send, in Markdown, for a site's programmer. */
export function queryTable(
  panels: readonly PagePanel[],
  fields: readonly Field[],
  names: QueryNames,
  say: Say,
): string {
  const rows = new Map<string, string>();
  for (const { panel } of panels)
    for (const row of facetRows(panel)) {
      const field = fields.find(({ key }) => key === row.field);
      if (!field) continue;
      const name = nameIn(names, field.key);
      const what = rowLabel(row, "en") || field.name;
      if (row.mode !== "range") rows.set(name, `${what}: ${meanings[row.mode]}`);
      else {
        const kind = isDay(field) ? "a date like 2026-05-31, that day included" : "a number, included";
        const ends = rangeNames(name);
        rows.set(ends.min, `${what}, at least: ${kind}`);
        rows.set(ends.max, `${what}, at most: ${kind}`);
        rows.set(ends.below, `${what}, below: ${kind.replace("included", "not included")}`);
      }
    }
  rows.set(nameIn(names, "q"), `${say("search")}: the search words`);
  rows.set(
    nameIn(names, "sort"),
    "sort order: field keys joined by commas, a “-” before those in descending order; absent for the page’s default order",
  );
  rows.set(nameIn(names, "page"), "results page, from 2 on; absent for the first");
  return [
    "| name | means |",
    "| --- | --- |",
    ...[...rows].map(([name, words]) => `| \`${name}\` | ${words.replaceAll("|", "\\|")} |`),
  ].join("\n");
}

import { isShown, labelOf } from "../panel/options.ts";
import { rulesOf } from "../panel/panel.ts";
import { inEachFacet } from "./finding.ts";

/** Options that look like program keys. */
export const rawLabels = inEachFacet({
  name: "raw-labels",
  level: "warning",
  find({ row, title, found }) {
    if (!found || found.range) return undefined;
    const rules = rulesOf(row);
    const raw = found.options.filter((option) => isShown(rules, option.id) && looksRaw(labelOf(rules, option, "")));
    const [first] = raw;
    if (!first) return undefined;
    return {
      row: row.id,
      words: `${title} shows shoppers ${raw.length === 1 ? "a raw value" : `${raw.length} raw values`}, such as “${first.label}”.`,
      remedy: {
        words: `Rename ${raw.length === 1 ? "it" : "them"} to “${readable(first.label)}”${raw.length > 1 ? " and so on" : ""}`,
        step: {
          do: "relabel",
          row: row.id,
          labels: Object.fromEntries(raw.map(({ id, label }) => [id, readable(label)])),
        },
      },
    };
  },
});

/** Texts meant for programs: keys with a value after them, underscores, lone digits, true and false. */
export const looksRaw = (text: string): boolean =>
  /^[\w-]+:[\w-]+$/.test(text) || /\w_\w/.test(text) || /^(?:true|false|null|0|1)$/i.test(text);

/** A raw text in readable form: `pet_safe:1` becomes “Pet safe”. */
export function readable(text: string): string {
  const [, key, value] = /^([\w-]+):([\w-]+)$/.exec(text) ?? [];
  if (key !== undefined && value !== undefined) {
    if (/^(?:1|true|yes)$/i.test(value)) return tidy(key);
    return /^(?:0|false|no)$/i.test(value) ? `Not ${tidy(key).toLowerCase()}` : tidy(value);
  }
  if (/^(?:true|1)$/i.test(text)) return "Yes";
  return /^(?:false|0)$/i.test(text) ? "No" : tidy(text);
}

function tidy(text: string): string {
  const words = text.replaceAll(/[_-]+/g, " ").trim();
  return words === "" ? text : words.charAt(0).toUpperCase() + words.slice(1);
}

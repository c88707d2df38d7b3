import type { LevelMark } from "../../core/catalogue/levels.ts";
import type { DecimalMark } from "../../core/catalogue/numbers/plain-number.ts";
import type { DateOrder, Separator } from "../../core/catalogue/reading-schema.ts";

/** Notations of cells, each with an example or in words. */
export const separatorNames: Record<Separator, string> = {
  "|": "separated by |",
  ";": "separated by ;",
  ",": "separated by ,",
  "/": "separated by /",
  "": "one value per cell",
};
export const levelNames: Record<LevelMark, string> = {
  ">": "levels A > B",
  "»": "levels A » B",
  "›": "levels A › B",
  "→": "levels A → B",
  " / ": "levels A / B",
  "/": "levels A/B",
  ":": "levels A: B",
  " | ": "levels A | B",
};
export const decimalNames: Record<DecimalMark, string> = { ".": "1234.50", ",": "1.234,50" };
export const dateNames: Record<DateOrder, string> = { ymd: "2026-03-31", dmy: "31.03.2026", mdy: "03/31/2026" };

/** The date orders with examples in the style of a cell: its marks, a short year, or its month in words. */
export function dateNamesLike(sample: string): Record<DateOrder, string> {
  const mark = /^\d{1,4}([./ -])\d/.exec(sample)?.[1] ?? "-";
  const isWords = /\p{L}{3}/u.test(sample) && !/^\d{4}-/.test(sample);
  const year = /^\d{1,2}[./ -]\d{1,2}[./ -]\d{2}(?!\d)/.test(sample) ? "26" : "2026";
  const short = mark === "-" ? "." : mark;
  return {
    ymd: isWords ? `like ${sample.slice(0, 30)}` : ["2026", "03", "31"].join(mark),
    dmy: ["31", "03", year].join(short),
    mdy: ["03", "31", year].join(mark === "-" ? "/" : mark),
  };
}

interface Props {
  label: string;
  value: string;
  /** Value for the default. Default: the empty one */
  none?: string;
  usual: string;
  names: Readonly<Record<string, string>>;
  set(value: string): void;
}

/** A select for a notation, with the default first. */
export function Pick({ label, value, none = "", usual, names, set }: Props) {
  return (
    <label className="flex items-center gap-2">
      <span className="text-[13px] text-quiet">{label}</span>
      <select className="select select-xs w-auto" value={value} onChange={(event) => set(event.target.value)}>
        <option value={none}>{usual}</option>
        {Object.entries(names).map(([name, words]) => (
          <option key={name} value={name}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}

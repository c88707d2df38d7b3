import { fieldKindWords } from "../field-kind-words.ts";
import type { MendOf, NewMend } from "./mend-schema.ts";

/** A correction in words. @param name of the corrected field */
export function mendWords(mend: NewMend, name: string): string {
  switch (mend.kind) {
    case "values": {
      const what = mend.to.length === 0 ? "left out" : `to ${listed(mend.to)}`;
      return `${name}: ${mend.from.map(quoted).join(", ")} ${what}`;
    }
    case "set": {
      const count = mend.products.length;
      return `${name}: ${listed(mend.to)} for ${count === 1 ? "one product" : `${count.toLocaleString("en")} products`}`;
    }
    case "cell":
      return `${name}: ${listed(mend.to)} for ${mend.product}, variant ${mend.variant}`;
    case "units":
      return `${name}: to numbers in ${mend.unit}`;
    case "field":
      return `${name}: ${fieldWords(mend).join(", ") || "as in the file"}`;
  }
}

function* fieldWordsOf({ name, values, separator, decimal, dates, level, unit }: Omit<MendOf<"field">, "id">) {
  if (name) yield `called ${quoted(name)}`;
  if (values) yield `read as ${fieldKindWords[values].label}`;
  if (separator !== undefined) yield separator === "" ? "one value per cell" : `separated by ${separator}`;
  if (decimal) yield decimal === "," ? "with a decimal comma" : "with a decimal point";
  if (dates) yield { ymd: "year first", dmy: "day first", mdy: "month first" }[dates];
  if (level) yield `by ${level}`;
  if (unit !== undefined) yield unit === "" ? "without a unit" : `in ${unit}`;
}
const fieldWords = (mend: Omit<MendOf<"field">, "id">): string[] => [...fieldWordsOf(mend)];

const listed = (values: readonly string[]): string =>
  values.length === 0 ? "nothing" : values.map(quoted).join(" and ");
const quoted = (text: string): string => `“${text}”`;

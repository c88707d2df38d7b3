import type { NewMend } from "./mend-schema.ts";

/** What a mend does, in words. @param name of the mended field */
export function mendWords(mend: NewMend, name: string): string {
  const to = mend.kind === "units" ? "" : mend.to.length === 0 ? "nothing" : mend.to.map(quoted).join(" and ");
  if (mend.kind === "values")
    return `${name}: ${mend.from.map(quoted).join(", ")} ${mend.to.length === 0 ? "left out" : `to ${to}`}`;
  if (mend.kind === "set")
    return `${name}: ${to} for ${mend.products.length === 1 ? "one product" : `${mend.products.length.toLocaleString("en")} products`}`;
  if (mend.kind === "cell") return `${name}: ${to} for ${mend.product}, variant ${mend.variant}`;
  return `${name}: to numbers in ${mend.unit}`;
}

const quoted = (text: string): string => `“${text}”`;

/** Version of the mending format that this code writes. */
export const mendFormat = 1;

/** One thing put right in a catalogue. Values are named by their identities, so that a mend also holds for spellings of later imports. */
export type Mend =
  /** Values that become others: one for a rename, several sources for a merge, several targets for a split, none to take them away. */
  | { id: string; kind: "values"; field: string; from: string[]; to: string[] }
  /** All variants of some products state these values. */
  | { id: string; kind: "set"; field: string; products: string[]; to: string[] }
  /** One variant states these values. */
  | { id: string; kind: "cell"; field: string; product: string; variant: string; to: string[] }
  /** Values that are numbers with units become plain numbers in one unit. */
  | { id: string; kind: "units"; field: string; unit: string };

/** A mend that has no id yet. */
export type NewMend = { [K in Mend["kind"]]: Omit<Extract<Mend, { kind: K }>, "id"> }[Mend["kind"]];

/** What is put right over a shop's catalogue, in order. The imported catalogue itself is never changed. */
export interface MendDocument {
  format: typeof mendFormat;
  mends: Mend[];
}

export const noMends: MendDocument = { format: mendFormat, mends: [] };

/** What a mend does, in words. @param name of the mended field */
export function mendWords(mend: NewMend, name: string): string {
  const to = mend.kind === "units" ? "" : mend.to.length === 0 ? "nothing" : mend.to.map(quoted).join(" and ");
  if (mend.kind === "values") return `${name}: ${mend.from.map(quoted).join(", ")} ${mend.to.length === 0 ? "left out" : `to ${to}`}`;
  if (mend.kind === "set")
    return `${name}: ${to} for ${mend.products.length === 1 ? "one product" : `${mend.products.length.toLocaleString("en")} products`}`;
  if (mend.kind === "cell") return `${name}: ${to} for ${mend.product}, variant ${mend.variant}`;
  return `${name}: to numbers in ${mend.unit}`;
}

const quoted = (text: string): string => `“${text}”`;

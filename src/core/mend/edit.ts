import type { Edit } from "../document/edit.ts";
import { type Mend, type MendDocument, mendWords, type NewMend } from "./document.ts";

/** One step over a shop's mends. */
export type MendEdit = Edit<MendDocument>;

/** Puts a mend after the others. A cell that is set again takes the place of what was set before. */
export const addMend = (mend: NewMend, fieldName: string): MendEdit => ({
  words: mendWords(mend, fieldName),
  apply: (document) => {
    const others = document.mends.filter((one) => !isSameCell(one, mend));
    const id = `m${1 + document.mends.reduce((most, one) => Math.max(most, Number(one.id.slice(1)) || 0), 0)}`;
    return { ...document, mends: [...others, { ...mend, id } as Mend] };
  },
});

/** Takes one mend back and leaves the others. */
export const removeMend = (id: string, words: string): MendEdit => ({
  words: `Take back: ${words}`,
  apply: (document) => ({ ...document, mends: document.mends.filter((mend) => mend.id !== id) }),
});

const isSameCell = (one: Mend, other: NewMend): boolean =>
  one.kind === "cell" && other.kind === "cell" && one.field === other.field && one.product === other.product && one.variant === other.variant;

import type { Field } from "../../core/catalogue/field.ts";
import { identity } from "../../core/catalogue/identity.ts";
import { addMend, removeMend } from "../../core/catalogue/mend/edit.ts";
import type { MendOf, NewMend } from "../../core/catalogue/mend/mend-schema.ts";
import { mendWords } from "../../core/catalogue/mend/mend-words.ts";
import { splitCell } from "../../core/catalogue/values.ts";
import { useOpenShop } from "../shell/shop-context.ts";

/** A field's name and reading, where they differ from the file. */
export type FieldMend = Omit<MendOf<"field">, "id" | "kind" | "field">;

/** Corrections of a field's values, each one step that can be undone. */
export function useMender({ key, name }: Field) {
  const { mends } = useOpenShop();
  const add = (mend: NewMend) => mends.getState().apply(addMend(mend, name));
  const values = (from: readonly string[], to: string[]) =>
    add({ kind: "values", field: key, from: from.map(identity), to });
  return {
    merge: (from: readonly string[], into: string) => values(from, [into]),
    /** An empty text changes nothing; `|` splits. */
    rename(from: string, text: string) {
      const to = splitCell(text, false);
      if (to.length > 0) values([from], to);
    },
    leaveOut: (from: readonly string[]) => values(from, []),
    toNumbers: (unit: string) => add({ kind: "units", field: key, unit }),
    setCell: (product: string, variant: string, to: string[]) =>
      add({ kind: "cell", field: key, product, variant, to }),
    setProducts: (products: string[], to: string[]) => add({ kind: "set", field: key, products, to }),
    /** Sets the field's name and reading; an empty description restores the file's. */
    describe(described: FieldMend) {
      const store = mends.getState();
      const known = store.document.mends.find((mend) => mend.kind === "field" && mend.field === key);
      if (Object.keys(described).length > 0) add({ kind: "field", field: key, ...described });
      else if (known) store.apply(removeMend(known.id, mendWords(known, name)));
    },
  };
}

export type Mender = ReturnType<typeof useMender>;

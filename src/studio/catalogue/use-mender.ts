import type { Field } from "../../core/catalogue/field.ts";
import { identity } from "../../core/catalogue/identity.ts";
import { splitCell } from "../../core/catalogue/values.ts";
import { addMend } from "../../core/mend/edit.ts";
import type { NewMend } from "../../core/mend/mend-schema.ts";
import { useOpenShop } from "../shell/shop-context.ts";

/** The ways to put a field's values right, each one step that can be undone. */
export function useMender({ key, name }: Field) {
  const { mends } = useOpenShop();
  const add = (mend: NewMend) => mends.getState().apply(addMend(mend, name));
  const values = (from: readonly string[], to: string[]) =>
    add({ kind: "values", field: key, from: from.map(identity), to });
  return {
    merge: (from: readonly string[], into: string) => values(from, [into]),
    /** An empty text changes nothing; a `|` in it splits. */
    rename(from: string, text: string) {
      const to = splitCell(text, false);
      if (to.length > 0) values([from], to);
    },
    leaveOut: (from: readonly string[]) => values(from, []),
    toNumbers: (unit: string) => add({ kind: "units", field: key, unit }),
    setCell: (product: string, variant: string, text: string) =>
      add({ kind: "cell", field: key, product, variant, to: splitCell(text, false) }),
    setProducts: (products: string[], text: string) =>
      add({ kind: "set", field: key, products, to: splitCell(text, false) }),
  };
}

export type Mender = ReturnType<typeof useMender>;

import { type Catalogue, fieldOf, titleOf, valuesAt } from "../catalogue/catalogue.ts";
import type { NamedProduct, ValueMove } from "../catalogue/compare.ts";
import { identity } from "../catalogue/identity.ts";
import { variantName } from "../catalogue/mend/apply.ts";
import type { Mend, MendOf } from "../catalogue/mend/mend-schema.ts";

/** A cell that differs in the newer file while a correction keeps the value set by hand. */
export interface HiddenValue extends ValueMove {
  /** Id of the mend. */
  mend: string;
  product: NamedProduct;
  /** The variant's name in the correction, if the product has several. */
  variant: string | undefined;
  /** Name of the field. */
  field: string;
  /** The correction's value. */
  shows: string;
}

/**
 * Corrections of cells that hide something newer: the new file differs from the old one in their cells, and from the
 * correction.
 */
export function hiddenValues(before: Catalogue, after: Catalogue, mends: readonly Mend[]): HiddenValue[] {
  const cells = mends.filter((mend): mend is MendOf<"set" | "cell"> => mend.kind === "set" || mend.kind === "cell");
  if (cells.length === 0) return [];
  const places = (catalogue: Catalogue) => new Map(catalogue.productIds.map((id, p) => [id, p]));
  const [oldPlaces, newPlaces] = [places(before), places(after)];
  return cells.flatMap((mend) => {
    const field = after.fields.find(({ key }) => key === mend.field);
    const [was, is] = [before.columns.get(mend.field), after.columns.get(mend.field)];
    if (!field || !was || !is) return [];
    const shows = mend.to.join(", ");
    return (mend.kind === "set" ? mend.products : [mend.product]).flatMap((id) => {
      const [old, now] = [oldPlaces.get(id), newPlaces.get(id)];
      if (old === undefined || now === undefined) return [];
      const oldVariants = variantsByName(before, old);
      const found = [...variantsByName(after, now)].flatMap(([name, variant]) => {
        const earlier = oldVariants.get(name);
        if (earlier === undefined || (mend.kind === "cell" && mend.variant !== name)) return [];
        const move = { was: valuesAt(was, earlier).join(", "), is: valuesAt(is, variant).join(", ") };
        return move.was === move.is || identity(move.is) === identity(shows) ? [] : [{ ...move, name }];
      });
      const [first] = found;
      if (!first) return [];
      return [
        {
          mend: mend.id,
          product: { id, title: titleOf(after, now) },
          variant: oldVariants.size > 1 && found.length === 1 ? first.name : undefined,
          field: field.name,
          was: first.was,
          is: first.is,
          shows,
        },
      ];
    });
  });
}

function variantsByName(catalogue: Catalogue, product: number): Map<string, number> {
  const from = catalogue.variantStart[product] ?? 0;
  const sku = fieldOf(catalogue, "sku");
  const names = new Map<string, number>();
  for (let v = from; v < (catalogue.variantStart[product + 1] ?? 0); v++) {
    const name = variantName(catalogue, v, v - from, sku);
    if (!names.has(name)) names.set(name, v);
  }
  return names;
}

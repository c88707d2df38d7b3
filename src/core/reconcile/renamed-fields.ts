import type { Catalogue } from "../catalogue/catalogue.ts";
import { cellsOf } from "../catalogue/compare.ts";
import { type Field, isDerived } from "../catalogue/field.ts";
import { identity } from "../catalogue/identity.ts";
import { likeness } from "./likeness.ts";
import { isRenamed, oneToOne } from "./renamed.ts";
import { type SharedProducts, sharedProducts } from "./shared-products.ts";

/** A removed field and an added one with the same values: probably renamed. */
export interface RenamedField {
  from: Pick<Field, "key" | "name">;
  to: Pick<Field, "key" | "name">;
  /** Products with the same value in both, out of those with any. */
  same: number;
  of: number;
}

/** Approximate number of products to compare. */
const looked = 4000;

/** Removed fields that were probably renamed, most certain first. */
export function renamedFields(before: Catalogue, after: Catalogue): RenamedField[] {
  const own = ({ fields }: Catalogue) => fields.filter((field) => field.role === "attribute" && !isDerived(field));
  const gone = own(before).filter(({ key }) => !after.columns.has(key));
  const added = own(after).filter(({ key }) => !before.columns.has(key));
  const shared = sharedProducts(before, after, looked);
  const pairs = gone.flatMap((from) => added.map((to) => compared(before, after, from, to, shared)));
  const likely = pairs.filter(({ share, name }) => isRenamed(share, name));
  likely.sort((a, b) => b.share + b.name / 10 - (a.share + a.name / 10));
  const surest = oneToOne(
    likely,
    ({ from }) => from.key,
    ({ to }) => to.key,
  );
  const named = ({ key, name }: Field) => ({ key, name });
  return surest.map(({ from, to, same, of }) => ({ from: named(from), to: named(to), same, of }));
}

function compared(before: Catalogue, after: Catalogue, from: Field, to: Field, shared: SharedProducts) {
  let [same, of] = [0, 0];
  for (const [old, now] of shared) {
    const [was, is] = [identity(cellsOf(before, from, old)), identity(cellsOf(after, to, now))];
    if (isEmpty(was) && isEmpty(is)) continue;
    of++;
    if (was === is) same++;
  }
  const name = likeness(from.name, to.name);
  return { from, to, same, of, share: of === 0 ? 0 : same / of, name };
}

const isEmpty = (cells: string): boolean => /^[\s|]*$/.test(cells);

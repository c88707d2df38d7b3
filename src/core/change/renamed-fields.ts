import { distance } from "fastest-levenshtein";
import type { Catalogue } from "../catalogue/catalogue.ts";
import { cellsOf } from "../catalogue/compare.ts";
import { type Field, isDerived } from "../catalogue/field.ts";
import { identity } from "../catalogue/identity.ts";

/** A field that is gone and a new one that says the same: probably one under another heading. */
export interface RenamedField {
  from: Pick<Field, "key" | "name">;
  to: Pick<Field, "key" | "name">;
  /** Products of both files that say the same in the two, out of those that say anything. */
  same: number;
  of: number;
}

/** Share of products that must say the same; where the headings are nearly alike, fewer do. Common practice, no source. */
const least = 0.6;
const leastAlike = 0.3;
const nearlyAlike = 0.75;
/** Products that are compared at most, evenly over the file. */
const looked = 4000;

/** Which of the fields that are gone are probably still there under another heading, the surest first. */
export function renamedFields(before: Catalogue, after: Catalogue): RenamedField[] {
  const own = ({ fields }: Catalogue) => fields.filter((field) => field.role === "attribute" && !isDerived(field));
  const gone = own(before).filter(({ key }) => !after.columns.has(key));
  const added = own(after).filter(({ key }) => !before.columns.has(key));
  const shared = sharedProducts(before, after);
  const pairs = gone.flatMap((from) => added.map((to) => compared(before, after, from, to, shared)));
  const likely = pairs.filter(
    ({ share, name }) => share >= least || (name >= nearlyAlike && share >= leastAlike) || name === 1,
  );
  likely.sort((a, b) => b.share + b.name / 10 - (a.share + a.name / 10));
  const taken = new Set<string>();
  return likely.flatMap(({ from, to, same, of }) => {
    if (taken.has(`from ${from.key}`) || taken.has(`to ${to.key}`)) return [];
    taken.add(`from ${from.key}`).add(`to ${to.key}`);
    return [{ from: { key: from.key, name: from.name }, to: { key: to.key, name: to.name }, same, of }];
  });
}

type Shared = readonly (readonly [before: number, after: number])[];

/** Places of products that both files have. */
function sharedProducts(before: Catalogue, after: Catalogue): Shared {
  const places = new Map(before.productIds.map((id, p) => [id, p]));
  const both = after.productIds.flatMap((id, p) => {
    const old = places.get(id);
    return old === undefined ? [] : [[old, p] as const];
  });
  const step = Math.max(1, Math.ceil(both.length / looked));
  return both.filter((_, at) => at % step === 0);
}

function compared(before: Catalogue, after: Catalogue, from: Field, to: Field, shared: Shared) {
  let [same, of] = [0, 0];
  for (const [old, now] of shared) {
    const [was, is] = [identity(cellsOf(before, from, old)), identity(cellsOf(after, to, now))];
    if (isEmpty(was) && isEmpty(is)) continue;
    of++;
    if (was === is) same++;
  }
  const [a, b] = [identity(from.name), identity(to.name)];
  const name = 1 - distance(a, b) / Math.max(a.length, b.length, 1);
  return { from, to, same, of, share: of === 0 ? 0 : same / of, name };
}

const isEmpty = (cells: string): boolean => /^[\s|]*$/.test(cells);

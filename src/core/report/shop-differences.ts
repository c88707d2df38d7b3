import type { Catalogue } from "../catalogue/catalogue.ts";
import { compareCatalogues } from "../catalogue/compare.ts";
import { isWholeText } from "../catalogue/field.ts";
import { isAmount } from "../catalogue/field-kinds.ts";
import { type Difference, listDifferences, quoted, same, shortenedList } from "../document/differences.ts";
import type { WholeShop } from "../shop/archive/whole-shop.ts";
import { documentsOfKind, type PlacedDocument as Placed } from "../shop/documents.ts";
import { type AnyKind, allKinds } from "../shop/kinds.ts";

const told = (where: string, all: Iterable<string>): Difference[] => [...all].map((words) => ({ where, words }));

/** Lists the changes between two versions of a shop, in words, by document. */
export function shopDifferences(before: WholeShop, after: WholeShop): Difference[] {
  const names = new Map([...before.catalogue.fields, ...after.catalogue.fields].map(({ key, name }) => [key, name]));
  const nameOf = (field: string) => names.get(field) ?? field;
  return [
    ...told("Shop", headDifferences(before, after)),
    ...allKinds().flatMap((kind) => kindDifferences(kind, before, after, nameOf)),
    ...told(
      "Catalogue",
      before.catalogue === after.catalogue ? [] : catalogueDifferences(before.catalogue, after.catalogue),
    ),
    ...told("Pictures", pictureDifferences(before, after)),
  ];
}

/** The changes in the documents of a kind. */
function kindDifferences(
  kind: AnyKind,
  before: WholeShop,
  after: WholeShop,
  nameOf: (field: string) => string,
): Difference[] {
  const [was, is] = [documentsOfKind(before, kind), documentsOfKind(after, kind)];
  const inside = (old: object, now: object) => kind.differences(old, now, nameOf);
  if (kind.many) return many(kind.heading, was, is, inside);
  const [old, now] = [was[0]?.document, is[0]?.document];
  return old && now && !same(old, now) ? told(kind.heading, inside(old, now)) : [];
}

/** Documents of a kind, by slug. */
function many(
  what: string,
  before: readonly Placed[],
  after: readonly Placed[],
  inside: (before: object, after: object) => Iterable<string>,
): Difference[] {
  const titled = ({ document }: Placed) => `${what} ${quoted("name" in document ? String(document.name) : "")}`;
  const found: Difference[] = [];
  for (const words of listDifferences(
    before,
    after,
    ({ slug }) => slug ?? "",
    titled,
    (was, is) => {
      found.push(...told(titled(is), inside(was.document, is.document)));
      return [];
    },
  ))
    found.push({ where: `${what}s`, words });
  return found;
}

function* headDifferences(before: WholeShop, after: WholeShop): Generator<string> {
  if (before.name !== after.name) yield `was renamed from ${quoted(before.name)} to ${quoted(after.name)}`;
  if (before.currency !== after.currency) yield `has prices in ${after.currency}, before: ${before.currency}`;
}

function* catalogueDifferences(before: Catalogue, after: Catalogue): Generator<string> {
  const { added, gone, changed, fields } = compareCatalogues(before, after);
  const products = (count: number) => (count === 1 ? "one product" : `${count.toLocaleString("en")} products`);
  if (added.length > 0) yield `${products(added.length)} more: ${shortenedList(added.map(({ title }) => title))}`;
  if (gone.length > 0) yield `${products(gone.length)} removed: ${shortenedList(gone.map(({ title }) => title))}`;
  if (changed.length > 0) yield `${products(changed.length)} changed`;
  for (const { field, state, products: count, newValues, goneValues } of fields) {
    if (state === "added") yield `${quoted(field.name)} is a new field`;
    else if (state === "gone") yield `the field ${quoted(field.name)} was removed`;
    else if (count > 0) yield `${field.name} changed for ${products(count)}`;
    if (state === "kept" && !isWholeText(field.role) && !isAmount(field)) {
      if (newValues.length > 0) yield `${field.name}: new ${shortenedList(newValues)}`;
      if (goneValues.length > 0) yield `${field.name}: removed ${shortenedList(goneValues)}`;
    }
  }
}

function* pictureDifferences(before: WholeShop, after: WholeShop): Generator<string> {
  const more = [...after.pictures.keys()].filter((name) => !before.pictures.has(name)).length;
  const less = [...before.pictures.keys()].filter((name) => !after.pictures.has(name)).length;
  if (more > 0) yield more === 1 ? "one added" : `${more} added`;
  if (less > 0) yield less === 1 ? "one removed" : `${less} removed`;
}

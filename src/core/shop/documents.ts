import { type AnyKind, allKinds, type DocumentOf, type KindName, type kinds } from "./kinds.ts";

/** A document with its slug, of a kind of which a shop has many. */
export interface Named<D> {
  slug: string;
  document: D;
}

type Kinds = typeof kinds;

/** Every document of a shop, by its kind's member: one, or a list in order. */
export type ShopDocuments = {
  [K in KindName as Kinds[K]["member"]]: Kinds[K]["many"] extends true
    ? readonly Named<DocumentOf<K>>[]
    : DocumentOf<K>;
};

/** A document with its kind and, if the kind has many, its slug. */
export interface PlacedDocument {
  kind: AnyKind;
  slug: string | undefined;
  document: object;
}

const isMany = (value: object): value is readonly Named<object>[] => Array.isArray(value);

/** The documents of a kind. */
export function documentsOfKind(documents: ShopDocuments, kind: AnyKind): PlacedDocument[] {
  const found = Object.entries<object>(documents).find(([member]) => member === kind.member)?.[1];
  if (found === undefined) return [];
  return isMany(found)
    ? found.map(({ slug, document }) => ({ kind, slug, document }))
    : [{ kind, slug: undefined, document: found }];
}

/** Every document of a shop. */
export const eachDocument = (documents: ShopDocuments): PlacedDocument[] =>
  allKinds().flatMap((kind) => documentsOfKind(documents, kind));

/** All documents of a shop. @param of returns a kind's document, or its list of documents */
export const documentsFrom = (of: (kind: AnyKind) => object): ShopDocuments =>
  byMember(allKinds().map((kind) => [kind.member, of(kind)]));

/** {@link documentsFrom} for documents that have to be fetched. */
export const fetchDocuments = async (of: (kind: AnyKind) => Promise<object>): Promise<ShopDocuments> =>
  byMember(await Promise.all(allKinds().map(async (kind) => [kind.member, await of(kind)] as const)));

/** Each kind has provided its own member. */
const byMember = (members: readonly (readonly [string, object])[]): ShopDocuments =>
  Object.fromEntries(members) as unknown as ShopDocuments;

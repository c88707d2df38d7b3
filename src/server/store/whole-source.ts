import type { DocumentKind } from "../../core/document/kind.ts";
import type { WholeShop } from "../../core/shop/archive/whole-shop.ts";
import { eachDocument } from "../../core/shop/documents.ts";
import { shopPictures, withPicturesAt } from "../../core/shop/pictures.ts";
import type { ShopSource, StoredShopHead } from "./source.ts";

interface Wanted extends Pick<ShopSource, "key" | "state"> {
  shop: StoredShopHead;
  open(): Promise<WholeShop>;
  /** Sets the addresses of the shop's pictures in a document. */
  placed<D extends object>(document: D): D;
}

/** A whole, unchanging shop as a source of pages. */
export const wholeSource = ({ key, state, shop, open, placed }: Wanted): ShopSource => ({
  key,
  shop,
  state,
  async read<D extends object>(kind: DocumentKind<D>, slug?: string) {
    const document = documentIn(await open(), kind, kind.many ? slug : undefined);
    return document && { version: 1, document: placed(document) };
  },
  version: async () => 1,
  async first(kind) {
    return eachDocument(await open()).find((one) => one.kind.name === kind.name)?.slug;
  },
  catalogue: async () => (await open()).catalogue,
});

/** A document of a kind in a whole shop. */
function documentIn<D extends object>(whole: WholeShop, { name }: DocumentKind<D>, slug?: string): D | undefined {
  const found = eachDocument(whole).find((one) => one.kind.name === name && one.slug === slug);
  // A kind's name determines its document's type.
  return found?.document as D | undefined;
}

const withPlaces = new WeakMap<object, object>();

/** A document with the addresses of its shop's pictures, cached: every page is drawn from several. */
export function withShopPictures<D extends object>(document: D, slug: string): D {
  const known = withPlaces.get(document) ?? withPicturesAt(document, shopPictures(slug));
  withPlaces.set(document, known);
  // The cached value is the same document with other addresses.
  return known as D;
}

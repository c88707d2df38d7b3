import { mendsKind } from "../catalogue/mend/kind.ts";
import type { DocumentKind } from "../document/kind.ts";
import { lookKind } from "../look/kind.ts";
import { pagesKind } from "../page/kind.ts";
import { panelKind } from "../panel/kind.ts";
import { swatchesKind } from "../swatch/kind.ts";
import { shopKind } from "./kind.ts";

/** Every kind of document in a shop. A new kind is a line here; everything else follows from its definition. */
export const kinds = {
  shop: shopKind,
  panel: panelKind,
  pages: pagesKind,
  look: lookKind,
  swatches: swatchesKind,
  mends: mendsKind,
};

export type KindName = keyof typeof kinds;

/** The document of a kind. */
export type DocumentOf<K extends KindName> = ReturnType<(typeof kinds)[K]["fresh"]>;

/** Whether a text names a kind. */
export const isKind = (name: string): name is KindName => Object.hasOwn(kinds, name);

/** A kind, whichever it is. */
export type AnyKind = DocumentKind<object>;

/** All kinds, in the order in which their documents and differences are listed. */
export const allKinds = (): readonly AnyKind[] => Object.values<AnyKind>(kinds);

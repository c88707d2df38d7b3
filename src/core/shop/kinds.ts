import { mendsKind } from "../catalogue/mend/kind.ts";
import { lookKind } from "../look/kind.ts";
import { pagesKind } from "../page/kind.ts";
import { panelKind } from "../panel/kind.ts";
import { swatchesKind } from "../swatch/kind.ts";
import { shopKind } from "./kind.ts";

/** Every kind of document that a shop has. A new one is a line here, and has saving, history and conflicts at once. */
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

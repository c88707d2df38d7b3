import { createContext, useContext } from "react";
import type { FieldProfile } from "../../core/evidence/profile.ts";
import type { CatalogueIndex } from "../../core/index/catalogue-index.ts";
import type { LocalEngine } from "../../core/match/engine.ts";
import type { SwatchBook } from "../../core/swatch/book.ts";
import type { ShopSummary } from "../api.ts";

/** A shop that is open, with its catalogue ready for counting. */
export interface OpenShop {
  shop: ShopSummary;
  index: CatalogueIndex;
  engine: LocalEngine;
  swatches: SwatchBook;
  /** Looked at once and kept. */
  profileOf(field: string): FieldProfile | undefined;
}

export const ShopContext = createContext<OpenShop | undefined>(undefined);

/** The open shop. Only for views inside the shop's frame. */
export function useOpenShop(): OpenShop {
  const open = useContext(ShopContext);
  if (!open) throw new Error("This view stands outside a shop.");
  return open;
}

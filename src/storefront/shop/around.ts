import type { Say } from "../words/say.ts";
import type { ShopAround } from "./boot.ts";
/** The data shared by all pages of the stand-in shop. */
export interface Around {
  shop: ShopAround;
  base: string;
  language: string;
  say: Say;
}

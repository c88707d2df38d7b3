import type { Say } from "../words/say.ts";
import type { ShopAround } from "./boot.ts";
/** The shared data of every page of the stand-in shop. */
export interface Around {
  shop: ShopAround;
  base: string;
  language: string;
  say: Say;
}

import type { Say } from "../words/say.ts";
import type { ShopAround } from "./boot.ts";
/** What every page of the stand-in shop is drawn from. */
export interface Around {
  shop: ShopAround;
  base: string;
  language: string;
  say: Say;
}

import { createContext } from "preact";
import { useContext } from "preact/hooks";

/** The basket of the stand-in shop: only a number. */
export interface Basket {
  count: number;
  add(): void;
}

/** Provides the basket. */
export const BasketContext = createContext<Basket>({ count: 0, add: () => {} });

/** The basket of the shop around. */
export const useBasket = (): Basket => useContext(BasketContext);

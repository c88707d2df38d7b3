import { createStore, useStore } from "zustand";

/** The worst shift that was felt on a page in a trial on the bench, by shop and address; kept as long as the tab is open. */
const results = createStore<Readonly<Record<string, number>>>(() => ({}));

const keyOf = (shop: string, address: string): string => `${shop} ${address}`;

/** Keeps what a trial has found on a page, where it is worse than what is known. */
export function rememberShift(shop: string, address: string, felt: number): void {
  const key = keyOf(shop, address);
  results.setState((now) => ({ [key]: Math.max(felt, now[key] ?? 0) }));
}

/** The worst shift of a page; undefined if none was tried. */
export const useShift = (shop: string, address: string): number | undefined =>
  useStore(results, (now) => now[keyOf(shop, address)]);

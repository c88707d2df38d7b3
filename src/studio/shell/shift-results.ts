import { createStore, useStore } from "zustand";

/** The largest felt shift of a page in trials on the bench, by shop and address; kept while the tab is open. */
const results = createStore<Readonly<Record<string, number>>>(() => ({}));

const keyOf = (shop: string, address: string): string => `${shop} ${address}`;

/** Stores a trial's result if it is larger than the known one. */
export function rememberShift(shop: string, address: string, felt: number): void {
  const key = keyOf(shop, address);
  results.setState((now) => ({ [key]: Math.max(felt, now[key] ?? 0) }));
}

/** The largest shift of a page; undefined if none was tried. */
export const useShift = (shop: string, address: string): number | undefined =>
  useStore(results, (now) => now[keyOf(shop, address)]);

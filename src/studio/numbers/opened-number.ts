import { createStore } from "zustand";
import type { Awaitable } from "../../core/facts/facts.ts";
import type { CountedOptions, CountedProducts } from "../../core/recount/recount.ts";

/** A number of the tool that somebody has opened. */
export interface OpenedNumber {
  /** What it is called, for example “Reach of Colour”. */
  title: string;
  /** What it counts, and why that matters. */
  says: string;
  told: number;
  /** What it counts: products, of several ways to count the fewest; or options. Or what it was measured from. */
  behind: { products: Awaitable<readonly CountedProducts[]> } | { options: Awaitable<CountedOptions> } | Measured;
  /** Where what it counts is changed. */
  change?: { words: string; to: string } | { words: string; act(): void } | undefined;
}

/** What a measured number comes from, and what it is when it is worked out in another way. */
export interface Measured {
  lines: readonly { words: string; more: string }[];
  again: number;
  /** How it was worked out again, for example “by the formula of WCAG 2.2”. */
  how: string;
}

/** The one number that is open; undefined for none. */
export const openedNumber = createStore<{ open: OpenedNumber | undefined }>(() => ({ open: undefined }));

import { createStore } from "zustand";
import type { Awaitable } from "../../core/profile/facts.ts";
import type { CountedOptions, CountedProducts } from "../../core/recount/recount.ts";

/** A number that somebody has opened. */
export interface OpenedNumber {
  /** Title, for example “Reach of Colour”. */
  title: string;
  /** Meaning of the number, and why it matters. */
  says: string;
  told: number;
  /** Counted products (of several ways to count, the fewest), counted options, or the parts of a measure. */
  behind: { products: Awaitable<readonly CountedProducts[]> } | { options: Awaitable<CountedOptions> } | Measured;
  /** A link to where its subject can be changed. */
  change?: { words: string; to: string } | { words: string; act(): void } | undefined;
}

/** Parts of a measured number, and the same number computed by a different method. */
export interface Measured {
  lines: readonly { words: string; more: string }[];
  again: number;
  /** How it was recomputed, for example “by the formula of WCAG 2.2”. */
  how: string;
}

/** The opened number; undefined for none. */
export const openedNumber = createStore<{ open: OpenedNumber | undefined }>(() => ({ open: undefined }));

import type { Stepped } from "./history.ts";

/** Something that can be done, with its name. */
export interface Action {
  name: string;
  /** Other words that it is found by. */
  also?: string;
  run(): void;
}

/** Actions of a view that the list offers. */
export interface ViewActions {
  /** The documents changed by the view. */
  stores: readonly Stepped[];
  /** The actions of this view; requested when the list opens. */
  actions: () => Action[];
}

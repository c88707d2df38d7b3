import { createStore, useStore } from "zustand";
import type { History } from "./history.ts";

/** Something that was removed in this tab and can be brought back by undo. */
interface Removal {
  /** Path of it on the server. */
  path: string;
  name: string;
  /** When it was removed, in ms. */
  at: number;
  restore(): Promise<boolean>;
}

const removals = createStore<readonly Removal[]>(() => []);

/** Registers a removal, until it is restored. */
export const noteRemoval = (removal: Removal): void =>
  removals.setState((all) => [...all.filter(({ path }) => path !== removal.path), removal], true);

/** Forgets a removal, because it was restored. */
export const forgetRemoval = (restored: string): void =>
  removals.setState((all) => all.filter(({ path }) => path !== restored), true);

/**
 * The latest removal below a path, if it is later than the last step that can be undone: undo takes back what was done
 * last, which is not always a step of the document that is open afterwards.
 * @param last time of that step
 */
export const useLatestRemoval = (below: string, last?: number): Removal | undefined =>
  latestIn(useStore(removals), below, last);

/** Undoes what was done last: a removal below a path, or the last step of a history. */
export function undoLast(history: History, below: string): void {
  const removal = latestIn(removals.getState(), below, history.past.at(-1)?.at);
  if (removal) void removal.restore();
  else history.undo();
}

function latestIn(all: readonly Removal[], below: string, last = 0): Removal | undefined {
  const latest = all.findLast(({ path }) => path.startsWith(`${below}/`));
  return latest && latest.at > last ? latest : undefined;
}

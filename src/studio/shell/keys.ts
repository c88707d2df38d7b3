import { useLayoutEffect } from "react";
import { tinykeys } from "tinykeys";
import type { PressedKey } from "../../storefront/stage/messages.ts";

/** Handlers by key, in tinykeys' notation: `$mod+k`. */
type Bindings = Parameters<typeof tinykeys>[1];

/** Keyboard shortcuts of the whole view. Keys pressed in a stage's frame arrive here too; see {@link pressAgain}. */
export function useKeys(bindings: Bindings): void {
  // Shortcuts work as soon as the view is visible.
  useLayoutEffect(() => tinykeys(window, bindings), [bindings]);
}

/** Whether a key belongs to a text field or an editor. */
export const isTyping = ({ target }: Event): boolean =>
  target instanceof HTMLElement &&
  (target.matches("input[type=text], input[type=search], input[type=number], textarea, select") ||
    target.isContentEditable);

/** Dispatches a key that was pressed in a frame, whose events don't cross its boundary. */
export const pressAgain = (key: PressedKey): void => {
  window.dispatchEvent(new KeyboardEvent("keydown", { ...key, cancelable: true }));
};

/** Opens the help, as its key does. */
export const openHelp = (): void => {
  window.dispatchEvent(new KeyboardEvent("keydown", { key: "?" }));
};

import { useLayoutEffect } from "react";
import { tinykeys } from "tinykeys";
import type { PressedKey } from "../../storefront/stage/messages.ts";

/** Handlers by key, in the words of tinykeys: `$mod+k`. */
type Bindings = Parameters<typeof tinykeys>[1];

/** Keys of the whole view. What is pressed in a frame of the stage comes here too; see {@link pressAgain}. */
export function useKeys(bindings: Bindings): void {
  // Keys hold as soon as the view can be seen.
  useLayoutEffect(() => tinykeys(window, bindings), [bindings]);
}

/** Whether a key belongs to a field that text is typed into, or to an editor. */
export const isTyping = ({ target }: Event): boolean =>
  target instanceof HTMLElement &&
  (target.matches("input[type=text], input[type=search], input[type=number], textarea, select") ||
    target.isContentEditable);

/** Presses a key here that was pressed in a frame, where events end at its edge. */
export const pressAgain = (key: PressedKey): void => {
  window.dispatchEvent(new KeyboardEvent("keydown", { ...key, cancelable: true }));
};

/** @jsxImportSource preact */
import type { VNode } from "preact";
import { useState } from "preact/hooks";
import type { OptionView } from "./display.ts";

/**
 * Shows the first options and a button for the rest. Chosen options are always shown,
 * at their place, so that none is hidden while it narrows the page.
 * @param after how many to show; 0 for all
 */
export function useFold(options: readonly OptionView[], after: number): { shown: readonly OptionView[]; button: VNode | null } {
  const [open, setOpen] = useState(false);
  // One more option takes no more room than the button that would hide it.
  if (after === 0 || options.length <= after + 1) return { shown: options, button: null };
  const shown = open ? options : options.filter((option, place) => place < after || option.chosen);
  return {
    shown,
    button: (
      <button type="button" class="zt-more" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? "Show fewer" : `Show all ${options.length}`}
      </button>
    ),
  };
}

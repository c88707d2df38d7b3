import { chipsOf } from "./chips.ts";
import type { PanelState } from "./panel-state.ts";

const icons = {
  lines: "M2 4h12M4 8h8M6 12h4",
  funnel: "M2 3h12L9.5 8.5V13l-3-1.5v-3z",
  sliders: "M2 4h7m3 0h2M2 8h2m3 0h7M2 12h8m3 0h1M9 2.5v3M4 6.5v3m6 1v3",
} as const;

/** What stands on the button of a drawer or a folded panel: its picture, its words, and how much is chosen. */
export function ButtonText({ state }: { state: PanelState }) {
  const { buttonText, buttonIcon } = state.behaviour;
  const chosen = chipsOf(state).length;
  return (
    <>
      {buttonIcon === "none" ? null : (
        <svg width="16" height="16" viewBox="0 0 16 16" aria-hidden="true">
          <path
            d={icons[buttonIcon]}
            fill="none"
            stroke="currentColor"
            stroke-width="1.8"
            stroke-linecap="round"
            stroke-linejoin="round"
          />
        </svg>
      )}
      {buttonText || state.say("filters")}
      {chosen > 0 ? <span class="zt-badge">{chosen}</span> : null}
    </>
  );
}

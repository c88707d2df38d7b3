import { h } from "preact";
import { wordsIn } from "../../core/panel/options.ts";
import { isSafePicture } from "../../core/sanitize/safe-address.ts";
import { buttonIconPaths } from "./button-icons.ts";
import { chipsOf } from "./chips.ts";
import type { PanelState } from "./panel-state.ts";

/** The content of the button of a drawer or collapsed panel: icon, text, and number of chosen filters. */
export function ButtonText({ state }: { state: PanelState }) {
  const chosen = chipsOf(state).length;
  return (
    <>
      <ButtonIcon {...state.behaviour} />
      {buttonWords(state)}
      {chosen > 0 ? <span class="zt-badge">{chosen}</span> : null}
    </>
  );
}

/** The text of a panel's button, in the shopper's language. */
const buttonWords = ({ behaviour: { buttonText, buttonTexts }, language, say }: PanelState): string =>
  wordsIn({ text: buttonText, others: buttonTexts }, language) || say("filters");

/** The title of a drawer: its own, or the text of its button. */
export const drawerWords = (state: PanelState): string => {
  const { drawerTitle, drawerTitles } = state.behaviour;
  return wordsIn({ text: drawerTitle, others: drawerTitles }, state.language) || buttonWords(state);
};

function ButtonIcon({ buttonIcon, buttonPicture }: Pick<PanelState["behaviour"], "buttonIcon" | "buttonPicture">) {
  if (buttonIcon === "none") return null;
  if (buttonIcon === "own")
    return isSafePicture(buttonPicture) ? (
      <img class="zt-button-picture" src={buttonPicture} alt="" decoding="async" />
    ) : null;
  return (
    <svg width="16" height="16" viewBox="0 0 24 24" aria-hidden="true">
      <g fill="none" stroke="currentColor" stroke-width="2" stroke-linecap="round" stroke-linejoin="round">
        {buttonIconPaths[buttonIcon].map(([tag, shape], at) => h(tag, { key: at, ...shape }))}
      </g>
    </svg>
  );
}

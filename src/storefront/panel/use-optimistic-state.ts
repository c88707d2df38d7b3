import { useEffect, useRef, useState } from "preact/hooks";
import type { Choice } from "../../core/engine/question.ts";
import { choiceOf, isSameChoice, withChoice } from "../../core/engine/selection.ts";
import { type Act, nextPlace, startPlace } from "../../core/page/browse-state/browse-state.ts";
import type { PanelState } from "./panel-state.ts";

/** A state that the page has not confirmed after this many ms was never requested, or changed otherwise. */
const patience = 1000;

/**
 * The state with a facet's latest choice before the page has caught up: the touched control changes at once, and no
 * intermediate rendering reverts it, least of all a dragged handle.
 */
export function useOptimisticState(
  field: string,
  state: PanelState,
  perform: (act: Act) => void,
): { state: PanelState; perform(act: Act): void } {
  const given = choiceOf(state.selection, field);
  /** Choices that were requested and not confirmed yet. */
  const under = useRef<readonly (Choice | undefined)[]>([]);
  const last = useRef(given);
  const [drawn, draw] = useState(0);
  if (!isSameChoice(last.current, given)) {
    last.current = given;
    const at = under.current.findIndex((one) => isSameChoice(one, given));
    // Any other choice was made elsewhere, and takes precedence.
    under.current = at < 0 ? [] : under.current.slice(at + 1);
  }
  // biome-ignore lint/correctness/useExhaustiveDependencies: each act has its time, and each choice that is shown
  useEffect(() => {
    if (under.current.length === 0) return;
    const timer = setTimeout(() => {
      under.current = [];
      draw((n) => n + 1);
    }, patience);
    return () => clearTimeout(timer);
  }, [drawn, given]);
  const shown =
    under.current.length > 0
      ? { ...state, selection: withChoice(state.selection, field, under.current.at(-1)) }
      : state;
  return {
    state: shown,
    perform(act) {
      const { selection } = nextPlace({ ...startPlace, selection: shown.selection }, act);
      under.current = [...under.current, choiceOf(selection, field)];
      draw((n) => n + 1);
      perform(act);
    },
  };
}

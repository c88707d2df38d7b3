/** @jsxImportSource preact */
import { useEffect, useRef } from "preact/hooks";
import { emptySelection, isEmpty } from "../core/match/selection.ts";
import type { PieceName, PieceRow } from "../core/panel/document.ts";
import { ChipList } from "./chip-list.tsx";
import { chipsOf } from "./chips.ts";
import type { Actions } from "./page-view.tsx";
import type { PageState } from "./store.ts";

interface Props {
  row: PieceRow;
  state: PageState;
  act: Actions;
}

/** Everything in a panel that is not a facet. */
export function PieceView(props: Props) {
  const View = views[props.row.piece];
  return (
    <div class="zt-piece" data-row={props.row.id} data-marked={props.state.marked === props.row.id || undefined}>
      <View {...props} />
    </div>
  );
}

const views: Record<PieceName, (props: Props) => preact.JSX.Element> = { chosen: Chosen, search: Search };

/** Chosen filters on one line that scrolls sideways, so that nothing below ever moves. */
function Chosen({ state, act, row }: Props) {
  const chips = chipsOf(state);
  return (
    <div class="zt-chosen" role="group" aria-label={row.label || "Chosen filters"}>
      <ChipList chips={chips} act={act}>
        {chips.length === 0 ? <li class="zt-hint">Nothing chosen yet</li> : null}
      </ChipList>
      <button type="button" class="zt-clear" disabled={isEmpty(state.selection)} onClick={() => act.select(emptySelection)}>
        Clear all
      </button>
    </div>
  );
}

const pause = 150;

function Search({ state, act, row }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const { text } = state.selection;
  useEffect(() => {
    // Only what comes from elsewhere (a chip, the address bar) is written over what stands in the field.
    if (input.current && input.current.value.trim() !== text.trim()) input.current.value = text;
  }, [text]);
  useEffect(() => () => clearTimeout(timer.current), []);
  return (
    <input
      ref={input}
      class="zt-search"
      type="search"
      name="q"
      aria-label={row.label || "Search"}
      placeholder={row.label || "Search"}
      defaultValue={text}
      onInput={(event) => {
        const asked = event.currentTarget.value;
        clearTimeout(timer.current);
        timer.current = setTimeout(() => act.search(asked), pause);
      }}
    />
  );
}

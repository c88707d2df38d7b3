import { Redo2, Undo2 } from "lucide-react";
import { useCallback, useMemo } from "react";
import { useParams } from "react-router";
import { shopPath } from "../api.ts";
import { type Stepped, useHistory } from "./history.ts";
import { isTyping, useKeys } from "./keys.ts";
import { undoLast, useLatestRemoval } from "./removals.ts";

const button =
  "grid size-8 place-items-center rounded-lg hover:bg-white/15 disabled:opacity-35 disabled:hover:bg-transparent";

/** Undo and redo for the view's documents, by button and by key. */
export function HistoryButtons({ stores }: { stores: readonly Stepped[] }) {
  const history = useHistory(stores);
  const { shop = "" } = useParams();
  const step = history.past.at(-1);
  const removal = useLatestRemoval(shopPath(shop), step?.at);
  const last = removal ? `${removal.name} removed` : step?.words;
  const next = history.future[0];
  const undo = useCallback(() => undoLast(history, shopPath(shop)), [history, shop]);

  useKeys(
    useMemo(() => {
      const onKey = (act: () => void) => (event: KeyboardEvent) => {
        // A text field undoes its own typing first.
        if (isTyping(event)) return;
        event.preventDefault();
        act();
      };
      const redo = onKey(() => history.redo());
      return { "$mod+z": onKey(undo), "$mod+Shift+z": redo, "$mod+y": redo };
    }, [history, undo]),
  );
  return (
    <div className="flex">
      <button
        type="button"
        className={button}
        disabled={!last}
        aria-label={last ? `Undo: ${last}` : "Undo"}
        title={last ? `Undo: ${last} (Ctrl Z)` : "Nothing to undo"}
        onClick={undo}
      >
        <Undo2 size={17} aria-hidden />
      </button>
      <button
        type="button"
        className={button}
        disabled={!next}
        aria-label={next ? `Redo: ${next.words}` : "Redo"}
        title={next ? `Redo: ${next.words} (Ctrl Shift Z)` : "Nothing to redo"}
        onClick={() => history.redo()}
      >
        <Redo2 size={17} aria-hidden />
      </button>
    </div>
  );
}

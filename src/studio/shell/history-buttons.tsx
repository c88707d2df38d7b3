import { Redo2, Undo2 } from "lucide-react";
import { useMemo } from "react";
import { type Stepped, useHistory } from "./history.ts";
import { isTyping, useKeys } from "./keys.ts";

const button =
  "grid size-8 place-items-center rounded-lg hover:bg-white/15 disabled:opacity-35 disabled:hover:bg-transparent";

/** Undo and redo for the view's documents, by button and by key. */
export function HistoryButtons({ stores }: { stores: readonly Stepped[] }) {
  const history = useHistory(stores);
  const last = history.past.at(-1);
  const next = history.future[0];

  useKeys(
    useMemo(() => {
      const step = (take: "undo" | "redo") => (event: KeyboardEvent) => {
        // A text field undoes its own typing first.
        if (isTyping(event)) return;
        event.preventDefault();
        history[take]();
      };
      return { "$mod+z": step("undo"), "$mod+Shift+z": step("redo"), "$mod+y": step("redo") };
    }, [history]),
  );
  return (
    <div className="flex">
      <button
        type="button"
        className={button}
        disabled={!last}
        aria-label={last ? `Undo: ${last.words}` : "Undo"}
        title={last ? `Undo: ${last.words} (Ctrl Z)` : "Nothing to undo"}
        onClick={() => history.undo()}
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

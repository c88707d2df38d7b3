import { Check, CloudOff, LoaderCircle, Redo2, Undo2 } from "lucide-react";
import { useEffect } from "react";
import { useParams } from "react-router";
import { Strip } from "../shell/strip.tsx";
import { shopViews } from "../shell/views.ts";
import { useBench, usePanel } from "./bench-context.ts";

const button = "grid size-8 place-items-center rounded-lg hover:bg-white/15 disabled:opacity-35 disabled:hover:bg-transparent";

/** The strip of the bench: undo and redo, whether all is saved, and the shop as shoppers see it. */
export function BenchStrip() {
  const { shop = "", panel = "" } = useParams();
  const store = useBench().panel;
  const past = usePanel((state) => state.past);
  const future = usePanel((state) => state.future);

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      const key = event.key.toLowerCase();
      const redo = key === "y" || (key === "z" && event.shiftKey);
      if (!redo && key !== "z") return;
      // A text field undoes its own typing first.
      if (event.target instanceof HTMLInputElement && event.target.type === "text") return;
      event.preventDefault();
      if (redo) store.getState().redo();
      else store.getState().undo();
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  }, [store]);

  return (
    <Strip views={shopViews(shop)}>
      <Saved />
      <div className="flex">
        <button
          type="button"
          className={button}
          disabled={past.length === 0}
          aria-label={past.length > 0 ? `Undo: ${past.at(-1)?.words}` : "Undo"}
          title={past.length > 0 ? `Undo: ${past.at(-1)?.words} (Ctrl Z)` : "Nothing to undo"}
          onClick={() => store.getState().undo()}
        >
          <Undo2 size={17} aria-hidden />
        </button>
        <button
          type="button"
          className={button}
          disabled={future.length === 0}
          aria-label={future.length > 0 ? `Redo: ${future[0].words}` : "Redo"}
          title={future.length > 0 ? `Redo: ${future[0].words} (Ctrl Shift Z)` : "Nothing to redo"}
          onClick={() => store.getState().redo()}
        >
          <Redo2 size={17} aria-hidden />
        </button>
      </div>
      <a
        href={`/shop/${encodeURIComponent(shop)}/?panel=${encodeURIComponent(panel)}`}
        target="_blank"
        rel="noreferrer"
        className="btn btn-accent btn-sm"
      >
        Shopper view
      </a>
    </Strip>
  );
}

function Saved() {
  const saving = usePanel((state) => state.saving);
  const trouble = usePanel((state) => state.trouble);
  const shown = {
    saved: { icon: <Check size={15} aria-hidden />, text: "Saved" },
    saving: { icon: <LoaderCircle size={15} aria-hidden />, text: "Saving …" },
    waiting: { icon: <LoaderCircle size={15} aria-hidden />, text: "Saving …" },
    failed: { icon: <CloudOff size={15} aria-hidden />, text: "Not saved" },
    conflict: { icon: <CloudOff size={15} aria-hidden />, text: "Not saved" },
  }[saving];
  return (
    <span role="status" className="flex items-center gap-1.5 text-white/85" title={trouble}>
      {shown.icon}
      {shown.text}
      {saving === "failed" ? <span className="max-w-72 truncate text-accent">{trouble}</span> : null}
    </span>
  );
}

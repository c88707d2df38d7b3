import { useMemo, useRef } from "react";
import { isTyping, useKeys } from "./keys.ts";

const keys: [keys: string, what: string][] = [
  ["Ctrl K", "Every action, by name"],
  ["Ctrl Z", "Undo"],
  ["Ctrl Shift Z", "Redo"],
  ["?", "These shortcuts"],
  ["Space on a handle, then ↑ ↓", "Move a row or an option"],
  ["Ctrl click on a handle", "Select several rows to change together"],
  ["Enter or Space on a cell", "Choose a display"],
  ["← → on a ruler stop", "Move a band limit by 10 px, with Page keys by 100"],
  ["1 2 3", "Show both pages, only the wide one, only the phone"],
  ["A", "Switch between trying and arranging the page"],
  ["0", "Show only names in the table of the panel"],
  ["4 5 6 7", "Zoom the pages: readable, fit, half, full size"],
  ["Esc", "Close a card, cancel typing"],
];

/** The list of keyboard shortcuts, opened with “?”. */
export function Shortcuts() {
  const dialog = useRef<HTMLDialogElement>(null);
  useKeys(
    useMemo(() => {
      const show = (event: KeyboardEvent) => {
        if (isTyping(event)) return;
        event.preventDefault();
        dialog.current?.showModal();
      };
      return { "?": show, "Shift+?": show };
    }, []),
  );
  return (
    <dialog
      ref={dialog}
      className="m-auto w-[460px] rounded-box bg-base-100 p-5 shadow-2xl backdrop:bg-[#321a3d55]"
      aria-label="Shortcuts"
    >
      <h2 className="mb-3 text-lg">Shortcuts</h2>
      <dl className="grid grid-cols-[190px_minmax(0,1fr)] gap-y-1.5 text-[13px]">
        {keys.map(([key, what]) => (
          <div key={key} className="contents">
            <dt className="font-medium">{key}</dt>
            <dd className="text-quiet">{what}</dd>
          </div>
        ))}
      </dl>
      <form method="dialog" className="mt-4 text-end">
        <button type="submit" className="btn btn-sm">
          Close
        </button>
      </form>
    </dialog>
  );
}

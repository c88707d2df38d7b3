import { useMemo, useState } from "react";
import { useLocation } from "react-router";
import glossary from "../../../docs/glossary.md?raw";
import { helpFor, meaningIn } from "./help-pages.ts";
import { isTyping, useKeys } from "./keys.ts";

const keys: [keys: string, what: string][] = [
  ["Ctrl K", "Every action, by name"],
  ["Ctrl Z", "Undo"],
  ["Ctrl Shift Z", "Redo"],
  ["?", "This help"],
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

const showModal = (dialog: HTMLDialogElement | null): void => {
  if (dialog && !dialog.open) dialog.showModal();
};

/** Help for the view that is open, and all keyboard shortcuts; opened with “?”. */
export function Help() {
  const [isOpen, setOpen] = useState(false);
  const page = helpFor(useLocation().pathname);
  useKeys(
    useMemo(() => {
      const show = (event: KeyboardEvent) => {
        if (isTyping(event)) return;
        event.preventDefault();
        setOpen(true);
      };
      return { "?": show, "Shift+?": show };
    }, []),
  );
  if (!isOpen) return null;
  return (
    <dialog
      ref={showModal}
      onClose={() => setOpen(false)}
      className="m-auto max-h-[88vh] w-[min(860px,94vw)] overflow-y-auto rounded-box bg-base-100 p-6 shadow-2xl backdrop:bg-[#321a3d55]"
      aria-label="Help"
    >
      <div className="grid gap-x-8 gap-y-6 md:grid-cols-2">
        {page ? (
          <section>
            <h2 className="mb-3 text-lg">{page.title}</h2>
            <ol className="mb-5 flex list-decimal flex-col gap-1.5 ps-5">
              {page.steps.map((step) => (
                <li key={step}>{step}</li>
              ))}
            </ol>
            <h3 className="mb-2 font-semibold">Words</h3>
            <dl className="flex flex-col gap-2 text-[13px]">
              {page.words.map((word) => (
                <div key={word}>
                  <dt className="inline font-medium">{word}</dt>
                  <dd className="inline text-quiet"> – {meaningIn(glossary, word)}</dd>
                </div>
              ))}
            </dl>
          </section>
        ) : null}
        <section>
          <h2 className="mb-3 text-lg">Keyboard shortcuts</h2>
          <dl className="grid grid-cols-[150px_minmax(0,1fr)] gap-y-1.5 text-[13px]">
            {keys.map(([key, what]) => (
              <div key={key} className="contents">
                <dt className="font-medium">{key}</dt>
                <dd className="text-quiet">{what}</dd>
              </div>
            ))}
          </dl>
        </section>
      </div>
      <form method="dialog" className="mt-5 text-end">
        <button type="submit" className="btn btn-sm">
          Close
        </button>
      </form>
    </dialog>
  );
}

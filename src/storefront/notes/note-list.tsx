import { useEffect, useRef } from "preact/hooks";
import type { PreviewNote } from "../../core/api/preview.ts";
import { dateTimeFormat } from "../../core/document/date-time.ts";

interface Props {
  notes: readonly PreviewNote[];
  /** Address of the open page within the preview. */
  here: string;
  base: string;
  /** Id of the note to scroll to. */
  shown: number | undefined;
  close(): void;
}

/** All notes on the preview, in the order in which they were written. */
export function NoteList({ notes, here, base, shown, close }: Props) {
  const list = useRef<HTMLElement>(null);
  useEffect(() => {
    const note = shown === undefined ? undefined : list.current?.querySelector<HTMLElement>(`[data-note="${shown}"]`);
    (note ?? list.current)?.focus();
    note?.scrollIntoView({ block: "nearest" });
  }, [shown]);
  return (
    <section
      class="sheet"
      aria-label="Notes"
      ref={list}
      tabIndex={-1}
      onKeyDown={(event) => {
        if (event.key !== "Escape") return;
        // The drawer around it stays open.
        event.preventDefault();
        close();
      }}
    >
      <h2>Notes</h2>
      <button type="button" class="close" aria-label="Close the notes" onClick={close}>
        ×
      </button>
      <ol>
        {notes.map((note) => (
          <li key={note.id} data-note={note.id} data-shown={note.id === shown ? "" : undefined} tabIndex={-1}>
            <p class="about">
              <b>{note.place.words || "A place on the page"}</b>
              {note.place.page === here ? null : (
                <>
                  {" on "}
                  <a href={base + encodeURI(note.place.page)}>
                    {note.place.page === "/" ? "the first page" : note.place.page}
                  </a>
                </>
              )}
            </p>
            <p class="text">{note.text}</p>
            <p class="by">
              {note.name}, {dateTimeFormat.format(new Date(note.createdAt))}
              {note.doneAt ? <span class="done"> ✓ Done</span> : null}
            </p>
            {note.answer ? <p class="answer">{note.answer}</p> : null}
          </li>
        ))}
      </ol>
    </section>
  );
}

import { useCallback, useEffect, useMemo, useState } from "preact/hooks";
import type { NotePlace, PreviewNote } from "../../core/api/preview.ts";
import { NoteForm } from "./note-form.tsx";
import { NoteList } from "./note-list.tsx";
import type { NotesBoot } from "./notes-boot.ts";
import { Pins } from "./pins.tsx";
import { fetchNotes, sendNote } from "./send-note.ts";
import { pageHere, usePick } from "./use-pick.ts";

/** The state of the notes in the window. */
type Doing =
  | { now: "reading" }
  | { now: "picking" }
  | { now: "writing"; place: NotePlace }
  | { now: "list"; note?: number };

/** The notes on a preview's page: pins, the list, and writing one. */
export function NotesView({ boot: { address, base }, host }: { boot: NotesBoot; host: HTMLElement }) {
  const [notes, setNotes] = useState<readonly PreviewNote[]>([]);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const [doing, setDoing] = useState<Doing>({ now: "reading" });
  useEffect(() => {
    fetchNotes(address).then(setNotes, (error: Error) => setTrouble(error.message));
  }, [address]);
  const here = pageHere(base);
  const pinned = useMemo(
    () => notes.map((note, at) => ({ note, n: at + 1 })).filter(({ note }) => note.place.page === here),
    [notes, here],
  );
  const picked = useCallback((place: NotePlace) => setDoing({ now: "writing", place }), []);
  const cancel = useCallback(() => setDoing({ now: "reading" }), []);
  const pointed = usePick({ on: doing.now === "picking", base, host, picked, cancel });
  const box = pointed?.getBoundingClientRect();
  return (
    <>
      <Pins notes={pinned} base={base} open={(note) => setDoing({ now: "list", note })} />
      {box ? (
        <div
          class="outline"
          style={{
            left: `${box.left}px`,
            top: `${box.top}px`,
            width: `${box.width}px`,
            height: `${box.height}px`,
          }}
        />
      ) : null}
      {doing.now === "writing" ? (
        <NoteForm
          place={doing.place}
          cancel={cancel}
          send={async (sent) => {
            const note = await sendNote(address, sent);
            setNotes((before) => [...before, note]);
            setDoing({ now: "list", note: note.id });
          }}
        />
      ) : null}
      {doing.now === "list" ? (
        <NoteList notes={notes} here={here} base={base} shown={doing.note} close={cancel} />
      ) : null}
      <div class="bar" role="toolbar" aria-label="Notes on this preview">
        {trouble === undefined ? null : <span role="alert">{trouble}</span>}
        {doing.now === "picking" ? (
          <>
            <span role="status">Click what your note is about, or press Enter on it.</span>
            <button type="button" onClick={cancel}>
              Cancel
            </button>
          </>
        ) : (
          <>
            <button type="button" class="main" onClick={() => setDoing({ now: "picking" })}>
              Add a note
            </button>
            {notes.length > 0 ? (
              <button
                type="button"
                aria-expanded={doing.now === "list"}
                onClick={() => setDoing(doing.now === "list" ? { now: "reading" } : { now: "list" })}
              >
                {notes.length} {notes.length === 1 ? "note" : "notes"}
              </button>
            ) : null}
          </>
        )}
      </div>
    </>
  );
}

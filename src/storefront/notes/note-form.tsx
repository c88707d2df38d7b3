import { useLayoutEffect, useRef, useState } from "preact/hooks";
import { maxAuthor, maxNoteText } from "../../core/api/note-limits.ts";
import type { NotePlace, SentNote } from "../../core/api/preview.ts";

interface Props {
  place: NotePlace;
  send(note: SentNote): Promise<void>;
  cancel(): void;
}

const nameKey = "trellis-note-name";

function knownName(): string {
  try {
    return localStorage.getItem(nameKey) ?? "";
  } catch {
    return "";
  }
}

function keepName(name: string): void {
  try {
    localStorage.setItem(nameKey, name);
  } catch {
    // Without storage, the name is typed again.
  }
}

/** Writes a note about a place. */
export function NoteForm({ place, send, cancel }: Props) {
  const [name, setName] = useState(knownName);
  const [text, setText] = useState("");
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const [busy, setBusy] = useState(false);
  const first = useRef<HTMLInputElement>(null);
  const second = useRef<HTMLTextAreaElement>(null);
  useLayoutEffect(() => (knownName() === "" ? first : second).current?.focus(), []);
  const submit = async () => {
    setBusy(true);
    setTrouble(undefined);
    try {
      keepName(name.trim());
      await send({ name: name.trim(), text: text.trim(), place });
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : String(error));
      setBusy(false);
    }
  };
  return (
    <form
      class="sheet"
      aria-label="New note"
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
      onKeyDown={(event) => {
        if (event.key !== "Escape") return;
        // The drawer around it stays open.
        event.preventDefault();
        cancel();
      }}
    >
      <h2>
        Note on <b>{place.words || "this place"}</b>
      </h2>
      <label>
        Your name
        <input
          ref={first}
          required
          maxLength={maxAuthor}
          autocomplete="name"
          value={name}
          onInput={(event) => setName(event.currentTarget.value)}
        />
      </label>
      <label>
        Note
        <textarea
          ref={second}
          required
          rows={4}
          maxLength={maxNoteText}
          value={text}
          onInput={(event) => setText(event.currentTarget.value)}
        />
      </label>
      {trouble === undefined ? null : (
        <p role="alert" class="trouble">
          {trouble}
        </p>
      )}
      <div class="acts">
        <button type="button" onClick={cancel}>
          Cancel
        </button>
        <button type="submit" class="main" disabled={busy}>
          Send note
        </button>
      </div>
    </form>
  );
}

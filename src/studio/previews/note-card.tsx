import { Check, ExternalLink, Reply } from "lucide-react";
import { useState } from "react";
import { maxNoteText } from "../../core/api/note-limits.ts";
import type { NoteChange, PreviewNote } from "../../core/api/preview.ts";
import { dateTimeFormat } from "../../core/document/date-time.ts";
import { aboutNote, linkTo } from "./use-previews.ts";

interface Props {
  note: PreviewNote;
  /** Address of its preview’s first page; undefined if it has ended. */
  preview: string | undefined;
  change(note: PreviewNote, change: NoteChange): Promise<boolean>;
}

/** A note from a preview: what it is about, its answer, and whether it is done. */
export function NoteCard({ note, preview, change }: Props) {
  const [answering, setAnswering] = useState(false);
  const done = note.doneAt !== undefined;
  const about = aboutNote(note);
  return (
    <article className="flex flex-col gap-1 py-2" aria-label={`Note on ${about} by ${note.name}`}>
      <p className="flex items-baseline gap-2">
        <b className="min-w-0 flex-1 font-semibold">{about}</b>
        {preview === undefined ? null : (
          <a
            className="grid size-6 place-items-center rounded-md text-quiet hover:bg-sand hover:text-base-content"
            href={linkTo({ address: preview }, note.place.page)}
            target="_blank"
            rel="noreferrer"
            aria-label={`See the note on ${about} on its page`}
            title="See it on its page"
          >
            <ExternalLink size={14} aria-hidden />
          </a>
        )}
      </p>
      <p className="whitespace-pre-wrap break-words">{note.text}</p>
      <p className="text-[13px] text-quiet">
        {note.name}, {dateTimeFormat.format(new Date(note.createdAt))}
      </p>
      {note.answer && !answering ? (
        <p className="whitespace-pre-wrap break-words border-s-2 border-accent ps-2">{note.answer}</p>
      ) : null}
      {answering ? (
        <AnswerForm
          answer={note.answer}
          cancel={() => setAnswering(false)}
          save={async (answer) => {
            if (await change(note, { answer })) setAnswering(false);
          }}
        />
      ) : (
        <span className="flex gap-2">
          <button type="button" className="btn btn-xs" onClick={() => setAnswering(true)}>
            <Reply size={13} aria-hidden /> {note.answer ? "Change answer" : "Answer"}
          </button>
          <button
            type="button"
            aria-pressed={done}
            className={`btn btn-xs ${done ? "btn-success btn-outline" : ""}`}
            onClick={() => void change(note, { done: !done })}
          >
            <Check size={13} aria-hidden /> {done ? "Done" : "Mark as done"}
          </button>
        </span>
      )}
    </article>
  );
}

function AnswerForm({ answer, save, cancel }: { answer: string; save(answer: string): Promise<void>; cancel(): void }) {
  const [text, setText] = useState(answer);
  return (
    <form
      className="flex flex-col gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void save(text.trim());
      }}
    >
      <label className="flex flex-col gap-1 text-[13px] text-quiet">
        Answer, shown on the preview
        <textarea
          // biome-ignore lint/a11y/noAutofocus: the form opens because somebody wants to write
          autoFocus
          className="textarea w-full text-[14px] text-base-content"
          rows={2}
          maxLength={maxNoteText}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <span className="flex gap-2">
        <button type="submit" className="btn btn-primary btn-xs">
          Save answer
        </button>
        <button type="button" className="btn btn-ghost btn-xs" onClick={cancel}>
          Cancel
        </button>
      </span>
    </form>
  );
}

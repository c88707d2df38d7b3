import { Send } from "lucide-react";
import { useState } from "react";
import { maxNoteLength } from "../../core/api/edition.ts";
import type { PreviewNote } from "../../core/api/preview.ts";
import { ApiError, sendJson, shopPath } from "../api.ts";
import { aboutNote } from "../previews/use-previews.ts";
import { Fault } from "../shell/alert.tsx";
import { hintUsed } from "../shell/first-hint.tsx";

interface Props {
  shop: string;
  /** Number of the next edition. */
  next: number;
  /** Number of differences since the last edition; undefined if there is none, or they are not counted yet. */
  changes: number | undefined;
  /** Notes on previews that were done since the last edition. */
  doneNotes: readonly PreviewNote[];
  published(): void;
}

/** An edition's note with notes from previews below, as far as there is room. */
function withNotes(before: string, notes: readonly PreviewNote[]): string {
  const lines = notes.map((note) => `${aboutNote(note)}: ${note.answer || note.text} (${note.name})`);
  const added = lines.filter((line) => !before.includes(line));
  return [before.trim(), ...added]
    .filter((line) => line !== "")
    .join("\n")
    .slice(0, maxNoteLength);
}

/** Publishes the draft, with a note for the team. */
export function PublishCard({ shop, next, changes, doneNotes, published }: Props) {
  const [note, setNote] = useState("");
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const nothing = next > 1 && changes === 0;
  const publish = async () => {
    setBusy(true);
    setTrouble(undefined);
    try {
      await sendJson("POST", `${shopPath(shop)}/editions`, { note: note.trim() });
      setNote("");
      hintUsed("publish");
      published();
    } catch (error) {
      setTrouble(
        error instanceof ApiError
          ? error.message
          : "The edition couldn’t be published. Check the connection and try again.",
      );
    }
    setBusy(false);
  };
  return (
    <form
      className="flex flex-col gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void publish();
      }}
    >
      <p className="text-[13px] text-quiet">
        {next === 1
          ? "Shoppers see nothing until the first edition is published."
          : changes === undefined
            ? "Comparing with the latest edition…"
            : nothing
              ? `Up to date: shoppers see edition ${next - 1}.`
              : `${changes} ${changes === 1 ? "change" : "changes"} not published yet.`}
      </p>
      <label className="flex flex-col gap-1 text-[13px] text-quiet">
        Note
        <textarea
          className="textarea w-full text-[14px] text-base-content"
          rows={2}
          maxLength={maxNoteLength}
          value={note}
          placeholder="What this edition is about"
          onChange={(event) => setNote(event.target.value)}
        />
      </label>
      {doneNotes.length > 0 ? (
        <button
          type="button"
          className="btn btn-ghost btn-xs self-start"
          onClick={() => setNote((before) => withNotes(before, doneNotes))}
        >
          Add {doneNotes.length === 1 ? "the note that is" : `${doneNotes.length} notes that are`} done
        </button>
      ) : null}
      <button type="submit" data-act="Publish" className="btn btn-primary" disabled={busy || nothing}>
        <Send size={15} aria-hidden /> Publish edition {next}
      </button>
      <Fault text={trouble} className="text-[13px]" />
    </form>
  );
}

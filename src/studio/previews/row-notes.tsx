import { MessageSquareText } from "lucide-react";
import { useMemo } from "react";
import type { PreviewNote } from "../../core/api/preview.ts";
import { Popover } from "../shell/popover.tsx";
import { NoteCard } from "./note-card.tsx";
import { usePreviews } from "./use-previews.ts";

interface Props {
  shop: string;
  /** Name of the row, for assistive technology. */
  about: string;
  /** Whether a note belongs here. Keep its identity. */
  belongs(note: PreviewNote): boolean;
}

/** The open notes that belong to a row, behind their number; nothing if there are none. */
export function RowNotes({ shop, about, belongs }: Props) {
  const { data, change } = usePreviews(shop);
  const notes = useMemo(() => data?.notes.filter((note) => !note.doneAt && belongs(note)) ?? [], [data, belongs]);
  if (!data || notes.length === 0) return null;
  const addressOf = ({ preview }: PreviewNote) =>
    data.previews.find(({ key, endedAt }) => key === preview && endedAt === undefined)?.address;
  const label = `${notes.length} ${notes.length === 1 ? "note" : "notes"} on ${about}`;
  return (
    <Popover
      label={label}
      className="w-80 p-3"
      trigger={(props) => (
        <button
          type="button"
          {...props}
          data-notes=""
          aria-label={label}
          title="Notes from previews"
          className="flex h-6 items-center gap-1 rounded-md bg-accent/40 px-1.5 text-[13px] tabular-nums hover:bg-accent/60"
        >
          <MessageSquareText size={13} aria-hidden /> {notes.length}
        </button>
      )}
    >
      {() => (
        <div className="divide-y divide-hair">
          {notes.map((note) => (
            <NoteCard key={note.id} note={note} preview={addressOf(note)} change={change} />
          ))}
        </div>
      )}
    </Popover>
  );
}

import { Check, Copy, ExternalLink } from "lucide-react";
import { useState } from "react";
import type { PreviewNote, PreviewSummary } from "../../core/api/preview.ts";
import { dateTimeFormat } from "../../core/document/date-time.ts";
import { useTool } from "../api.ts";
import { Fault } from "../shell/alert.tsx";
import { NoteCard } from "./note-card.tsx";
import { linkTo, usePreviews } from "./use-previews.ts";

/** A shop’s shared previews, with their notes. */
export function PreviewList({ shop }: { shop: string }) {
  const { data, error, end, change } = usePreviews(shop);
  const { data: tool } = useTool();
  if (!data)
    return error ? (
      <Fault text={error.message} className="p-4" />
    ) : (
      <p className="p-4 text-quiet">Loading the previews…</p>
    );
  const { previews, notes } = data;
  if (previews.length === 0)
    return (
      <p className="m-auto max-w-prose p-8 text-quiet">
        A preview is a copy of the draft at an address of its own. Send it to somebody: they can try the filters and pin
        notes to them, and can’t open or change anything else. Choose <b>Share a preview</b> on the left to make one.
      </p>
    );
  return (
    <section aria-label="Previews" className="flex min-h-0 flex-1 flex-col gap-4 overflow-y-auto p-4">
      {tool?.signedIn === false ? (
        <p className="rounded-lg bg-sand/70 px-3 py-2 text-[13px]">
          Only this computer can open these addresses. To let others see them, start the tool with <code>--host</code>{" "}
          and a password, as <i>Running it</i> in the documents describes.
        </p>
      ) : null}
      <ol className="flex flex-col gap-4" aria-label="Shared previews">
        {previews.map((preview) => (
          <Preview
            key={preview.key}
            preview={preview}
            notes={notes.filter((note) => note.preview === preview.key)}
            end={end}
            change={change}
          />
        ))}
      </ol>
    </section>
  );
}

interface PreviewProps extends Pick<ReturnType<typeof usePreviews>, "end" | "change"> {
  preview: PreviewSummary;
  notes: readonly PreviewNote[];
}

function Preview({ preview, notes, end, change }: PreviewProps) {
  const { key, address, createdAt, endedAt } = preview;
  const [copied, setCopied] = useState(false);
  const link = linkTo(preview);
  const ended = endedAt !== undefined;
  const name = dateTimeFormat.format(new Date(createdAt));
  const [done, open] = [notes.filter((note) => note.doneAt), notes.filter((note) => !note.doneAt)];
  return (
    <li className="flex flex-col gap-2 rounded-lg border border-hair p-3">
      <span className="flex flex-wrap items-center gap-2">
        <b className="font-semibold">Preview of {name}</b>
        {ended ? <span className="badge badge-sm">ended {dateTimeFormat.format(new Date(endedAt))}</span> : null}
        <span className="ms-auto flex gap-1">
          {ended ? null : (
            <>
              <button
                type="button"
                className="btn btn-xs"
                aria-label={`${copied ? "Copied" : "Copy address"}: preview of ${name}`}
                onClick={() =>
                  navigator.clipboard.writeText(link).then(
                    () => setCopied(true),
                    () => setCopied(false),
                  )
                }
              >
                {copied ? <Check size={13} aria-hidden /> : <Copy size={13} aria-hidden />}
                {copied ? "Copied" : "Copy address"}
              </button>
              <a className="btn btn-xs" href={link} target="_blank" rel="noreferrer">
                <ExternalLink size={13} aria-hidden /> Open
              </a>
            </>
          )}
          <button type="button" className="btn btn-xs" onClick={() => void end(key, !ended)}>
            {ended ? "Open it again" : "End preview"}
          </button>
        </span>
      </span>
      {ended ? null : <code className="break-all text-[13px] select-all">{link}</code>}
      {notes.length === 0 ? <p className="text-[13px] text-quiet">No notes yet.</p> : null}
      <div className="divide-y divide-hair">
        {open.map((note) => (
          <NoteCard key={note.id} note={note} preview={ended ? undefined : address} change={change} />
        ))}
      </div>
      {done.length > 0 ? (
        <details>
          <summary className="cursor-pointer text-[13px] text-quiet">
            {done.length} {done.length === 1 ? "note is" : "notes are"} done
          </summary>
          <div className="divide-y divide-hair">
            {done.map((note) => (
              <NoteCard key={note.id} note={note} preview={ended ? undefined : address} change={change} />
            ))}
          </div>
        </details>
      ) : null}
    </li>
  );
}

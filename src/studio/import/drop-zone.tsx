import { FileUp } from "lucide-react";
import { useState } from "react";
import type { Reader } from "./use-reader.ts";

/** Accepts a catalogue file, chosen or dropped, and shows the progress of reading it. */
export function DropZone({ reader: { file, busy, stop }, take }: { reader: Reader; take(file: File): void }) {
  const [over, setOver] = useState(false);
  const chosen = (files: FileList | null) => {
    if (files?.[0]) take(files[0]);
  };
  return (
    <div className="relative">
      <label
        className={`flex cursor-pointer flex-wrap items-center gap-x-4 gap-y-2 rounded-box border-2 border-dashed bg-base-100 px-6 has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-[#b4561b] ${file ? "py-3" : "py-10"} ${over ? "border-accent" : "border-secondary/40 hover:border-secondary"}`}
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(event) => {
          event.preventDefault();
          setOver(false);
          chosen(event.dataTransfer.files);
        }}
      >
        <FileUp size={26} aria-hidden className="flex-none text-secondary" />
        <span className="flex-1">
          <span className="block font-medium">{file ? file.name : "Choose a catalogue file, or drop it here"}</span>
          <span className="text-[13px] text-quiet tabular-nums">
            {busy ? `${busy.words}…` : file ? sizeOf(file) : "CSV, TSV, JSON-LD or JSON lines, up to 500,000 rows"}
          </span>
        </span>
        <input
          type="file"
          accept=".csv,.tsv,.txt,.json,.jsonld,.ndjson,.jsonl,text/csv,application/json"
          className="sr-only"
          aria-label="Catalogue file"
          onChange={(event) => chosen(event.target.files)}
        />
        {busy ? null : (
          <span className="btn btn-sm" aria-hidden>
            {file ? "Choose a different file" : "Choose"}
          </span>
        )}
      </label>
      {busy ? <Progress {...busy} stop={stop} className="absolute end-6 top-1/2 -translate-y-1/2" /> : null}
    </div>
  );
}

/** Progress of a task, with a button that stops it. */
export function Progress({
  words,
  share,
  stop,
  className = "",
}: {
  words: string;
  share?: number | undefined;
  stop(): void;
  className?: string;
}) {
  return (
    <div className={`flex items-center gap-3 ${className}`}>
      <progress
        className="progress progress-accent w-40"
        value={share === undefined ? undefined : Math.round(share * 100)}
        max={100}
        aria-label={words}
      />
      <button type="button" className="btn btn-sm" onClick={stop}>
        Stop
      </button>
    </div>
  );
}

function sizeOf({ size }: File): string {
  const kb = size / 1024;
  return kb < 1000 ? `${Math.round(kb)} kB` : `${(kb / 1024).toFixed(1)} MB`;
}

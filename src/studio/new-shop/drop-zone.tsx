import { FileUp } from "lucide-react";
import { useState } from "react";

const largest = 20 * 1024 * 1024;

/** Why a file cannot be sent, before it is read. */
export function tooLarge({ name, size }: File): string | undefined {
  if (size <= largest) return undefined;
  return `${name} is ${(size / 1024 / 1024).toFixed(1)} MB, and 20 MB is the most. Split it, or leave columns out.`;
}

/** Takes a catalogue file, chosen or dropped. */
export function DropZone({ file, busy, take }: { file: File | undefined; busy: boolean; take(file: File | undefined): void }) {
  const [over, setOver] = useState(false);
  return (
    <label
      className={`flex cursor-pointer items-center gap-4 rounded-box border-2 border-dashed bg-base-100 px-6 has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-[#b4561b] ${file ? "py-3" : "py-10"} ${over ? "border-accent" : "border-secondary/40 hover:border-secondary"}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        take(event.dataTransfer.files[0]);
      }}
    >
      <FileUp size={26} aria-hidden className="flex-none text-secondary" />
      <span className="flex-1">
        <span className="block font-medium">{file ? file.name : "Choose a catalogue file, or drop it here"}</span>
        <span className="text-[13px] text-quiet">
          {busy
            ? "Reading …"
            : file
              ? `${(file.size / 1024).toLocaleString("en", { maximumFractionDigits: 0 })} kB`
              : "CSV, JSON-LD or JSON lines, up to 20 MB"}
        </span>
      </span>
      <input
        type="file"
        accept=".csv,.tsv,.txt,.json,.jsonld,.ndjson,.jsonl,text/csv,application/json"
        className="sr-only"
        aria-label="Catalogue file"
        onChange={(event) => take(event.target.files?.[0])}
      />
      <span className="btn btn-sm" aria-hidden>
        {file ? "Another file" : "Choose"}
      </span>
    </label>
  );
}

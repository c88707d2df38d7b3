import { type Remote, wrap } from "comlink";
import { ArrowLeft, FileUp } from "lucide-react";
import { useEffect, useMemo, useState } from "react";
import { spokenToken } from "../../core/look/edit.ts";
import { emptyLook } from "../../core/look/empty-look.ts";
import { lookValuesOf } from "../../core/look/from-css/look-values.ts";
import type { LookReading } from "../../core/look/from-css/read-look.ts";
import type { LookDocument } from "../../core/look/look-schema.ts";
import { tokens } from "../../core/look/tokens.ts";
import { Fault } from "../shell/alert.tsx";
import type { LookService } from "./look.worker.ts";
import { LookGlyph } from "./look-glyph.tsx";

type Outcome = { readings: LookReading[]; missing: string[] } | { trouble: string };

/** A worker that reads style sheets, while the component is mounted. */
function useReader(): Remote<LookService> | undefined {
  const [reader, setReader] = useState<Remote<LookService> | undefined>(undefined);
  useEffect(() => {
    const worker = new Worker(new URL("./look.worker.ts", import.meta.url), { type: "module" });
    const made = wrap<LookService>(worker);
    setReader(() => made);
    return () => worker.terminate();
  }, []);
  return reader;
}

const isPicture = (file: File): boolean => /^image\//.test(file.type) && !/svg/.test(file.type);
const most = 5_000_000;

/** Reads a shop's look from its own style sheets, a saved page or a picture, and shows the source of each value. */
export function FromShop({ make, back }: { make(document: LookDocument): void; back(): void }) {
  const reader = useReader();
  const [busy, setBusy] = useState(false);
  const [outcome, setOutcome] = useState<Outcome | undefined>(undefined);
  const [without, setWithout] = useState<ReadonlySet<string>>(new Set());
  const read = async (files: readonly File[]) => {
    if (!reader || files.length === 0) return;
    setBusy(true);
    setWithout(new Set());
    try {
      const large = files.find(({ size }) => size > most * 2);
      if (large)
        setOutcome({
          trouble: `${large.name} has ${Math.round(large.size / 1e6)} MB; the limit is ${(most * 2) / 1e6} MB. Choose a smaller file.`,
        });
      else {
        const [first] = files;
        if (first && isPicture(first)) setOutcome({ readings: await reader.look(first.name, first), missing: [] });
        else
          setOutcome(
            await reader.read(
              await Promise.all(files.map(async (file) => ({ name: file.name, text: await file.text() }))),
            ),
          );
      }
    } catch {
      setOutcome({
        trouble: "This file can’t be read. Choose a style sheet (.css), a saved page (.html) or a picture.",
      });
    }
    setBusy(false);
  };
  const readings = outcome && "readings" in outcome ? outcome.readings : [];
  const look = useMemo(
    () => ({
      ...emptyLook("From the shop"),
      values: lookValuesOf(readings.filter(({ token }) => !without.has(token))),
    }),
    [readings, without],
  );
  return (
    <div className="flex flex-col gap-3 text-[13px]">
      <button
        type="button"
        className="flex items-center gap-1 self-start text-quiet hover:text-base-content"
        onClick={back}
      >
        <ArrowLeft size={14} aria-hidden /> Other ways to start
      </button>
      <label
        className="flex cursor-pointer items-center gap-3 rounded-lg border-2 border-dashed border-secondary/40 p-4 hover:border-secondary has-focus-visible:outline-2 has-focus-visible:outline-[#b4561b]"
        onDragOver={(event) => event.preventDefault()}
        onDrop={(event) => {
          event.preventDefault();
          void read([...event.dataTransfer.files]);
        }}
      >
        <FileUp size={22} aria-hidden className="flex-none text-secondary" />
        <span>
          <b className="block font-medium">Choose the shop’s .css files or a saved page, or drop them here</b>
          <span className="text-quiet">
            {busy ? "Reading…" : "A page with its style sheets works best; a picture gives colours only"}
          </span>
        </span>
        <input
          type="file"
          multiple
          accept=".css,.html,.htm,text/css,text/html,image/png,image/jpeg,image/webp"
          className="sr-only"
          aria-label="The shop’s style sheets, page or picture"
          onChange={(event) => void read([...(event.target.files ?? [])])}
        />
      </label>
      <Fault text={outcome && "trouble" in outcome ? outcome.trouble : undefined} />
      {outcome && "readings" in outcome ? (
        readings.length === 0 ? (
          <p role="alert">No styles found. Choose the style sheet that sets the shop’s text and buttons.</p>
        ) : (
          <>
            {outcome.missing.length > 0 ? (
              <p className="text-quiet">
                The page also uses style sheets that you didn’t choose: {outcome.missing.join(", ")}.
              </p>
            ) : null}
            <div className="flex items-center gap-3">
              <LookGlyph look={look} />
              <button type="button" className="btn btn-primary btn-sm" onClick={() => make(look)}>
                Create look
              </button>
              <span className="text-quiet">{Object.keys(look.values).length} values</span>
            </div>
            <ul className="flex max-h-[46vh] flex-col overflow-y-auto" aria-label="What was read">
              {readings.map((reading) => (
                <ReadingLine
                  key={reading.token}
                  reading={reading}
                  taken={!without.has(reading.token)}
                  take={(taken) => {
                    const next = new Set(without);
                    if (taken) next.delete(reading.token);
                    else next.add(reading.token);
                    setWithout(next);
                  }}
                />
              ))}
            </ul>
          </>
        )
      ) : null}
    </div>
  );
}

function ReadingLine({
  reading: { token, value, where, times },
  taken,
  take,
}: {
  reading: LookReading;
  taken: boolean;
  take(taken: boolean): void;
}) {
  const definition = tokens.get(token);
  const text = typeof value === "object" ? "shadow" : String(value);
  return (
    <li className="flex items-start gap-2 border-b border-hair py-1.5">
      <input
        type="checkbox"
        className="checkbox checkbox-xs mt-0.5"
        aria-label={definition ? spokenToken(definition) : token}
        checked={taken}
        onChange={(event) => take(event.target.checked)}
      />
      {definition?.type === "colour" ? (
        <span aria-hidden className="mt-0.5 size-4 flex-none rounded border border-hair" style={{ background: text }} />
      ) : null}
      <span className="min-w-0 flex-1">
        <span className="flex justify-between gap-2">
          <b className="font-medium">{definition ? spokenToken(definition) : token}</b>
          <span className="max-w-48 truncate tabular-nums">
            {text}
            {definition?.type === "length" ? " px" : ""}
          </span>
        </span>
        <span
          className="block truncate text-[13px] text-quiet"
          title={`${where.selector} { ${where.property}: ${where.value} }`}
        >
          {where.file}
          {where.line > 0 ? `, line ${where.line}: ${where.selector} { ${where.property} }` : `: ${where.property}`}
          {times > 1 ? ` · ${times} times` : ""}
        </span>
      </span>
    </li>
  );
}

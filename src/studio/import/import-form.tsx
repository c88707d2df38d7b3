import type { ReactNode } from "react";
import { problemText } from "../../core/catalogue/problem.ts";
import { Alert } from "../shell/alert.tsx";
import { ColumnTable } from "./column-table.tsx";
import { DropZone, Progress } from "./drop-zone.tsx";
import { EncodingNote } from "./encoding-note.tsx";
import { ProblemList } from "./problem-list.tsx";
import type { Reader } from "./use-reader.ts";
import type { useSender } from "./use-sender.ts";

interface Props {
  title: string;
  lead: ReactNode;
  reader: Reader;
  sender: ReturnType<typeof useSender>;
  /** Called with a new file before it is read. */
  take(file: File): void;
  /** Replaces the columns, if there is something else to show. */
  main?: ReactNode;
  /** Called when a column is read differently. */
  changed?(): void;
  /** Shown above and below the size of the file. */
  children: ReactNode;
  actions: ReactNode;
  /** At the bottom, over the view's whole width. */
  foot?: ReactNode;
}

/** The common parts of every import: the file, its columns, its problems, and the actions. */
export function ImportForm({ title, lead, reader, sender, take, main, changed, children, actions, foot }: Props) {
  const { preview, busy, trouble } = reader;
  return (
    <main className="min-h-0 flex-1 overflow-auto">
      <div className={`mx-auto w-full px-6 py-8 ${preview ? "max-w-6xl" : "max-w-2xl"}`}>
        <h1 className="mb-1 text-3xl">{title}</h1>
        <p className="mb-5 text-quiet">{lead}</p>
        <DropZone reader={reader} take={take} />
        {preview?.encoding && reader.file ? (
          <EncodingNote
            {...preview.encoding}
            read={(encoding) => {
              sender.forget();
              changed?.();
              if (reader.file) reader.take(reader.file, { anyway: true, encoding });
            }}
          />
        ) : null}
        {trouble ? <Alert text={trouble} /> : null}
        {preview?.fault ? <Alert text={problemText(preview.fault)} /> : null}
        {preview && preview.columns.length > 0 ? (
          <div className="mt-6 grid grid-cols-[minmax(0,1fr)_280px] items-start gap-6 max-md:grid-cols-[minmax(0,1fr)]">
            {main ?? (
              <ColumnTable
                preview={preview}
                busy={busy !== undefined}
                read={(reading) => {
                  changed?.();
                  reader.read(reading);
                }}
              />
            )}
            <div className="sticky top-4 grid gap-4 max-md:static">
              {children}
              {preview.fault ? null : (
                <p className="font-display text-lg font-semibold tabular-nums">
                  {preview.products.toLocaleString("en")} products, {preview.variants.toLocaleString("en")} variants
                </p>
              )}
              {sender.trouble ? <Alert text={sender.trouble} /> : null}
              {sender.busy ? (
                <div>
                  <p className="mb-1 text-quiet">{sender.busy.words}…</p>
                  <Progress {...sender.busy} stop={sender.stop} />
                </div>
              ) : (
                actions
              )}
              {preview.fault ? null : <ProblemList problems={preview.problems} />}
            </div>
          </div>
        ) : null}
      </div>
      {foot}
    </main>
  );
}

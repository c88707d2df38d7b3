import { expose } from "comlink";
import Papa from "papaparse";
import type { VisitReport } from "../../../core/api/visit-report.ts";
import { VisitReader } from "../../../core/rehearsal/visit-report.ts";

/** Reads a file of visits as a stream, never as a whole. */
const service = {
  /** @param progress called with the number of bytes read */
  async read(file: File, progress: (bytes: number) => void): Promise<VisitReport> {
    const reader = new VisitReader(Date.now());
    await (/\.csv$/i.test(file.name) ? readRows : readLines)(file, reader, progress);
    return reader.report();
  },
};
export type VisitsService = typeof service;

async function readLines(file: File, reader: VisitReader, progress: (bytes: number) => void): Promise<void> {
  const decoder = new TextDecoder();
  const chunks = file.stream().getReader();
  let rest = "";
  let bytes = 0;
  for (;;) {
    const { done, value } = await chunks.read();
    const lines = (rest + decoder.decode(value, { stream: !done })).split("\n");
    rest = done ? "" : (lines.pop() ?? "");
    for (const line of lines) reader.add(line);
    bytes += value?.length ?? 0;
    progress(bytes);
    if (done) return;
  }
}

const readRows = (file: File, reader: VisitReader, progress: (bytes: number) => void): Promise<void> =>
  new Promise((done, failed) => {
    Papa.parse<Record<string, string>>(file, {
      header: true,
      skipEmptyLines: true,
      step({ data, meta }) {
        reader.addRow(data);
        progress(meta.cursor);
      },
      complete: () => done(),
      error: failed,
    });
  });

expose(service);

import { expose, transfer } from "comlink";
import type { Reading } from "../../core/catalogue/reading-schema.ts";
import { FileReader, type KnownColumns } from "./file-reader.ts";

let reader: FileReader | undefined;

const served = {
  open(file: Blob, known: KnownColumns, progress: (share: number) => void) {
    reader = new FileReader(known);
    return reader.open(file, progress);
  },
  preview: (reading: Reading) => reader?.preview(reading),
  pack() {
    const bytes = reader?.pack();
    return bytes && transfer(bytes, [bytes.buffer]);
  },
};
export type ReaderService = typeof served;

/** Reads files away from the page, so that it stays fluent; ended to cancel. */
expose(served);

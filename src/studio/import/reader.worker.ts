import { expose, transfer } from "comlink";
import type { NewMend } from "../../core/catalogue/mend/mend-schema.ts";
import type { Reading } from "../../core/catalogue/reading-schema.ts";
import type { ShopAsIs } from "../../core/reconcile/change-summary.ts";
import { FileReader, type KnownColumns, type OpenOptions } from "./file-reader.ts";

let reader: FileReader | undefined;

const served = {
  open(file: Blob, known: KnownColumns, options: OpenOptions, progress: (share: number) => void) {
    reader = new FileReader(known);
    return reader.open(file, progress, options);
  },
  preview: (reading: Reading) => reader?.preview(reading),
  /** The changes to a shop by the file. @param address of its present catalogue in binary form */
  async compare(address: string, shop: ShopAsIs, taken: readonly NewMend[]) {
    const response = await fetch(address);
    if (!response.ok) throw new Error(`The catalogue could not be fetched (${response.status}).`);
    return reader?.compare(new Uint8Array(await response.arrayBuffer()), shop, taken);
  },
  pack() {
    const bytes = reader?.pack();
    return bytes && transfer(bytes, [bytes.buffer]);
  },
};
export type ReaderService = typeof served;

/** Reads files in a worker, so that the page stays responsive; terminated to cancel. */
expose(served);

import type { Mapping } from "../../core/catalogue/read.ts";
import { type Preview, previewFile } from "./preview.ts";

export interface PreviewRequest {
  id: number;
  file: File;
  mapping: Mapping | undefined;
}
export type PreviewReply = { id: number; preview: Preview } | { id: number; trouble: string };

/** Reads files away from the page, so that it stays fluent. */
addEventListener("message", async ({ data: { id, file, mapping } }: MessageEvent<PreviewRequest>) => {
  try {
    postMessage({ id, preview: previewFile(new Uint8Array(await file.arrayBuffer()), mapping) } satisfies PreviewReply);
  } catch (error) {
    postMessage({ id, trouble: `The file could not be read: ${(error as Error).message}` } satisfies PreviewReply);
  }
});

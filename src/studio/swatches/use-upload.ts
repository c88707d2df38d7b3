import { useCallback } from "react";
import { useParams } from "react-router";
import { request, shopPath } from "../api.ts";
import type { SwatchWorker } from "./use-book.ts";

/** Maximum size of an uploaded file. */
const maxBytes = 20 * 1024 * 1024;

/**
 * Uploads a picture; a photograph is reduced first, and an SVG is sanitized by the server.
 * @param side maximum side in px; by default the size for a swatch
 */
export function useUpload(worker: SwatchWorker | undefined, side = 256) {
  const { shop = "" } = useParams();
  return useCallback(
    async (file: File): Promise<string> => {
      if (file.size > maxBytes)
        throw new Error(
          `It has ${(file.size / 1024 / 1024).toFixed(0)} MB; the limit is ${maxBytes / 1024 / 1024} MB. Choose a smaller one.`,
        );
      const vector = file.type === "image/svg+xml" || /\.svg$/i.test(file.name);
      let kept: Blob = file;
      if (!vector) {
        try {
          if (!worker) throw new Error("The picture can’t be opened yet. Try again in a moment.");
          kept = await worker.shrink(file, side);
        } catch {
          throw new Error("This picture can’t be opened. Save it as PNG, JPEG, WebP or SVG.");
        }
      }
      const form = new FormData();
      form.set("file", kept, file.name);
      return (await request<{ path: string }>(`${shopPath(shop)}/pictures`, { method: "POST", body: form })).path;
    },
    [worker, shop, side],
  );
}

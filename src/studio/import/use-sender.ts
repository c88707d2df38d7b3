import { useRef, useState } from "react";
import { upload } from "./upload.ts";
import type { Reader } from "./use-reader.ts";

/** Sends what a reader has read, with progress; only one at a time. */
export function useSender(reader: Reader) {
  const [busy, setBusy] = useState<{ words: string; share?: number } | undefined>(undefined);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const stopper = useRef<AbortController | undefined>(undefined);
  return {
    busy,
    trouble,
    stop: () => stopper.current?.abort(),
    forget: () => setTrouble(undefined),
    /** @returns undefined if it failed; `trouble` then says why */
    async send<T>(path: string, words: string, values: Record<string, string>): Promise<T | undefined> {
      const { preview, file } = reader;
      if (!preview || !file) return undefined;
      stopper.current = new AbortController();
      setTrouble(undefined);
      setBusy({ words: "Compressing" });
      try {
        const form = new FormData();
        form.set("file", await reader.pack(), file.name);
        form.set(
          "reading",
          JSON.stringify(
            preview.reading.map((column, at) => ({ heading: preview.columns[at]?.heading ?? "", ...column })),
          ),
        );
        if (preview.hash !== undefined) form.set("hash", preview.hash);
        for (const [name, value] of Object.entries(values)) form.set(name, value);
        const tell = (share: number) => setBusy(share < 1 ? { words: "Sending", share } : { words });
        return await upload<T>(path, form, tell, stopper.current.signal);
      } catch (error) {
        setTrouble((error as Error).message);
        return undefined;
      } finally {
        setBusy(undefined);
      }
    },
  };
}

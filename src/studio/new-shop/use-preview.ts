import { useEffect, useRef, useState } from "react";
import type { Mapping } from "../../core/catalogue/read.ts";
import type { Preview } from "./preview.ts";
import type { PreviewReply, PreviewRequest } from "./preview.worker.ts";

interface Reading {
  preview: Preview | undefined;
  busy: boolean;
  /** Why there is no preview at all. */
  trouble: string | undefined;
}

/** Keeps a preview of a file in a worker; a new file or mapping takes the place of one under way. */
export function usePreview() {
  const worker = useRef<Worker | undefined>(undefined);
  const turn = useRef(0);
  const [reading, setReading] = useState<Reading>({ preview: undefined, busy: false, trouble: undefined });

  useEffect(() => {
    const made = new Worker(new URL("./preview.worker.ts", import.meta.url), { type: "module" });
    made.addEventListener("message", ({ data }: MessageEvent<PreviewReply>) => {
      if (data.id !== turn.current) return;
      setReading(
        "preview" in data ? { preview: data.preview, busy: false, trouble: undefined } : { preview: undefined, busy: false, trouble: data.trouble },
      );
    });
    made.addEventListener("error", () =>
      setReading({ preview: undefined, busy: false, trouble: "The file could not be read: the reader broke down." }),
    );
    worker.current = made;
    return () => made.terminate();
  }, []);

  const read = (file: File, mapping?: Mapping) => {
    turn.current++;
    setReading((now) => ({ ...now, busy: true, trouble: undefined }));
    worker.current?.postMessage({ id: turn.current, file, mapping } satisfies PreviewRequest);
  };
  const refuse = (trouble: string) => {
    turn.current++;
    setReading({ preview: undefined, busy: false, trouble });
  };
  return { ...reading, read, refuse };
}

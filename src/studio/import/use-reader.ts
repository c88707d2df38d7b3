import { proxy, type Remote, wrap } from "comlink";
import { useCallback, useEffect, useRef, useState } from "react";
import type { NewMend } from "../../core/catalogue/mend/mend-schema.ts";
import type { Reading } from "../../core/catalogue/reading-schema.ts";
import type { ChangeSummary, ShopAsIs } from "../../core/reconcile/change-summary.ts";
import type { KnownColumns, OpenOptions, Preview } from "./file-reader.ts";
import type { ReaderService } from "./reader.worker.ts";

interface State {
  file: File | undefined;
  preview: Preview | undefined;
  /** The present task, and its progress from 0 to 1 if known. */
  busy: { words: string; share?: number } | undefined;
  /** Why there is no preview. */
  trouble: string | undefined;
}

const idle: State = { file: undefined, preview: undefined, busy: undefined, trouble: undefined };

/** Keeps the preview of a file that is read in a worker; a new file replaces it, and reading can be cancelled. */
export function useReader(known: KnownColumns) {
  const worker = useRef<{ thread: Worker; service: Remote<ReaderService> } | undefined>(undefined);
  const turn = useRef(0);
  const [state, setState] = useState<State>(idle);

  const end = useCallback(() => {
    worker.current?.thread.terminate();
    worker.current = undefined;
  }, []);
  useEffect(() => end, [end]);
  const start = () => {
    const thread = new Worker(new URL("./reader.worker.ts", import.meta.url), { type: "module" });
    worker.current = { thread, service: wrap<ReaderService>(thread) };
    return worker.current;
  };

  /** Shows a task's result, unless a newer one has started. */
  const show = async (task: Promise<Preview | undefined>, mine: number) => {
    try {
      const preview = await task;
      if (mine === turn.current) setState((now) => ({ ...now, preview, busy: undefined }));
    } catch (error) {
      if (mine === turn.current)
        setState((now) => ({
          ...now,
          busy: undefined,
          trouble: `The file could not be read: ${(error as Error).message}`,
        }));
    }
  };

  return {
    ...state,
    /** Opens a file. */
    take(file: File, options: OpenOptions = {}) {
      end();
      const mine = ++turn.current;
      const { thread, service } = start();
      thread.addEventListener("error", () => {
        if (mine === turn.current)
          setState({
            ...idle,
            file,
            trouble: "The file could not be read: reading stopped unexpectedly. Choose the file again.",
          });
      });
      setState({ ...idle, file, busy: { words: "Reading", share: 0 } });
      const progress = (share: number) =>
        mine === turn.current && setState((now) => ({ ...now, busy: { words: "Reading", share } }));
      void show(service.open(file, known, options, proxy(progress)), mine);
    },
    read(reading: Reading) {
      const mine = ++turn.current;
      setState((now) => ({
        ...now,
        preview: now.preview && { ...now.preview, reading },
        busy: { words: "Reading the columns" },
        trouble: undefined,
      }));
      if (worker.current) void show(worker.current.service.preview(reading), mine);
    },
    /** The changes to a shop by the file; undefined if they could not be computed, and `trouble` says why. */
    async compare(address: string, shop: ShopAsIs, taken: readonly NewMend[]): Promise<ChangeSummary | undefined> {
      const mine = ++turn.current;
      setState((now) => ({ ...now, busy: { words: "Comparing" }, trouble: undefined }));
      try {
        return await worker.current?.service.compare(address, shop, taken);
      } catch (error) {
        if (mine === turn.current)
          setState((now) => ({ ...now, trouble: `The files could not be compared: ${(error as Error).message}` }));
        return undefined;
      } finally {
        if (mine === turn.current) setState((now) => ({ ...now, busy: undefined }));
      }
    },
    stop() {
      end();
      turn.current++;
      setState({ ...idle, trouble: "Reading was stopped. Nothing was stored." });
    },
    /** The catalogue of the present preview in binary form. */
    async pack(): Promise<Blob> {
      const bytes = await worker.current?.service.pack();
      if (!bytes) throw new Error("The file can’t be found any more. Choose it again.");
      return new Blob([bytes], { type: "application/octet-stream" });
    },
  };
}

export type Reader = ReturnType<typeof useReader>;

import { type Remote, wrap } from "comlink";
import { useEffect, useMemo, useState } from "react";
import { useSWRConfig } from "swr";
import useSWRImmutable from "swr/immutable";
import type { SwatchDocument } from "../../core/swatch/document.ts";
import { type ApiError, request, type Stored, shopPath } from "../api.ts";
import { createDocumentStore, type DocumentStore } from "../shell/document-store.ts";
import { useLeaveWarning } from "../shell/use-leave-warning.ts";
import type { SwatchService } from "./swatch.worker.ts";

export type BookStore = DocumentStore<SwatchDocument>;
export type SwatchWorker = Remote<SwatchService>;

/** Books that were opened in this tab, so that history outlives a change of view. */
const opened = new Map<string, BookStore>();

/** A shop's swatch book, saved by itself; every panel follows as soon as it is. */
export function useBook(shop: string): { store: BookStore | undefined; error: ApiError | undefined } {
  const path = `${shopPath(shop)}/book`;
  const { mutate } = useSWRConfig();
  const { data, error } = useSWRImmutable<Stored<SwatchDocument>, ApiError>(opened.has(path) ? null : path, request<Stored<SwatchDocument>>);
  const store = useMemo(() => {
    const known = opened.get(path);
    if (known || !data) return known;
    const made = createDocumentStore(path, data);
    opened.set(path, made);
    return made;
  }, [path, data]);
  useLeaveWarning(store);
  useEffect(
    () =>
      store?.subscribe((now, before) => {
        if (now.saving === "saved" && before.saving !== "saved") void mutate(`${shopPath(shop)}/swatches`);
      }),
    [store, mutate, shop],
  );
  return { store, error };
}

/** A worker for what takes longer than a frame: names, pictures, differences. */
export function useSwatchWorker(): SwatchWorker | undefined {
  const [service, setService] = useState<SwatchWorker | undefined>(undefined);
  useEffect(() => {
    const worker = new Worker(new URL("./swatch.worker.ts", import.meta.url), { type: "module" });
    // A function given to a state setter would be called.
    const made = wrap<SwatchService>(worker);
    setService(() => made);
    return () => worker.terminate();
  }, []);
  return service;
}

import { type Remote, wrap } from "comlink";
import { useEffect, useState } from "react";
import { useSWRConfig } from "swr";
import type { SwatchDocument } from "../../core/swatch/book-schema.ts";
import { type ApiError, shopPath } from "../api.ts";
import type { DocumentStore } from "../shell/document-store.ts";
import { useDocument } from "../shell/documents.ts";
import type { SwatchService } from "./swatch.worker.ts";

export type BookStore = DocumentStore<SwatchDocument>;
export type SwatchWorker = Remote<SwatchService>;

/** A shop's swatch book, saved automatically; every panel follows. */
export function useBook(shop: string): { store: BookStore | undefined; error: ApiError | undefined } {
  const { mutate } = useSWRConfig();
  const { store, error } = useDocument(shop, "swatches");
  useEffect(
    () =>
      store?.subscribe((now, before) => {
        if (now.saving === "saved" && before.saving !== "saved") void mutate(`${shopPath(shop)}/swatches`);
      }),
    [store, mutate, shop],
  );
  return { store, error };
}

/** A worker for tasks longer than a frame: names, pictures, differences. */
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

import useSWRImmutable from "swr/immutable";
import type { Stored } from "../../core/api/shop.ts";
import type { DocumentOf, KindName } from "../../core/shop/kinds.ts";
import { type ApiError, documentPath, request } from "../api.ts";
import { createDocumentStore, type DocumentStore, isUnsaved } from "./document-store.ts";
import { isTypingUnsaved } from "./typing.ts";

/** Documents that were opened in this tab, so that unsaved work outlives a change of view. */
const opened: { [K in KindName]: Map<string, DocumentStore<DocumentOf<K>>> } = {
  shop: new Map(),
  panel: new Map(),
  pages: new Map(),
  swatches: new Map(),
  mends: new Map(),
  look: new Map(),
};

/** A document of the shop, opened once in a tab; undefined until it is there. @param slug for a kind of which there are many */
export function useDocument<K extends KindName>(
  shop: string,
  kind: K,
  slug?: string,
): { store: DocumentStore<DocumentOf<K>> | undefined; error: ApiError | undefined } {
  const path = documentPath(shop, kind, slug);
  const known = opened[kind].get(path);
  const { data, error } = useSWRImmutable<Stored<DocumentOf<K>>, ApiError>(
    known ? null : path,
    request<Stored<DocumentOf<K>>>,
  );
  if (known || !data) return { store: known, error };
  const store = createDocumentStore(path, data);
  opened[kind].set(path, store);
  return { store, error };
}

/** The store of a document of the shop, opened once in a tab. @throws ApiError */
export async function openDocument<K extends KindName>(
  shop: string,
  kind: K,
  slug?: string,
): Promise<DocumentStore<DocumentOf<K>>> {
  const path = documentPath(shop, kind, slug);
  const known = opened[kind].get(path);
  if (known) return known;
  const stored = await request<Stored<DocumentOf<K>>>(path);
  // Another part of the page may have opened it meanwhile: two stores of one document would not see each other.
  const store = opened[kind].get(path) ?? createDocumentStore(path, stored);
  opened[kind].set(path, store);
  return store;
}

/** A document as it is in this tab, where it is open; otherwise as it is stored. @throws ApiError */
export async function readDocument<K extends KindName>(shop: string, kind: K, slug?: string): Promise<DocumentOf<K>> {
  const path = documentPath(shop, kind, slug);
  const known = opened[kind].get(path);
  return known ? known.getState().document : (await request<Stored<DocumentOf<K>>>(path)).document;
}

addEventListener("beforeunload", (event) => {
  // A field that is still typed in saves what it has.
  if (isTypingUnsaved() && document.activeElement instanceof HTMLElement) document.activeElement.blur();
  // The browser asks before the page is left while something is not saved.
  const unsaved = Object.values(opened).some((stores) =>
    [...stores.values()].some((store) => isUnsaved(store.getState())),
  );
  if (unsaved) event.preventDefault();
});

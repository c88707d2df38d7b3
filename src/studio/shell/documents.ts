import useSWRImmutable from "swr/immutable";
import type { Stored } from "../../core/api/shop.ts";
import type { DocumentOf, KindName } from "../../core/shop/kinds.ts";
import { type ApiError, documentPath, request } from "../api.ts";
import { createDocumentStore, type DocumentStore, isUnsaved } from "./document-store.ts";
import { StepClock } from "./step-clock.ts";
import { isTypingUnsaved } from "./typing.ts";

/** Documents opened in this tab, by address, so that unsaved work survives a change of view. */
const opened = new Map<string, DocumentStore<never>>();
/** Their steps have one order. */
const clock = new StepClock();

/** The open document of a kind at an address; undefined if it is not open. An address belongs to one kind. */
const openAt = <K extends KindName>(_kind: K, path: string) =>
  opened.get(path) as DocumentStore<DocumentOf<K>> | undefined;

function keep<K extends KindName>(path: string, stored: Stored<DocumentOf<K>>): DocumentStore<DocumentOf<K>> {
  const store = createDocumentStore(path, stored, clock);
  opened.set(path, store as unknown as DocumentStore<never>);
  return store;
}

/**
 * A document of the shop, opened once per tab; undefined until loaded.
 * @param slug for a kind of which there are many
 */
export function useDocument<K extends KindName>(
  shop: string,
  kind: K,
  slug?: string,
): { store: DocumentStore<DocumentOf<K>> | undefined; error: ApiError | undefined } {
  const path = documentPath(shop, kind, slug);
  const known = openAt(kind, path);
  const { data, error } = useSWRImmutable<Stored<DocumentOf<K>>, ApiError>(
    known ? null : path,
    request<Stored<DocumentOf<K>>>,
  );
  if (known || !data) return { store: known, error };
  return { store: keep<K>(path, data), error };
}

/** The store of a document of the shop, opened once per tab. @throws ApiError */
export async function openDocument<K extends KindName>(
  shop: string,
  kind: K,
  slug?: string,
): Promise<DocumentStore<DocumentOf<K>>> {
  const path = documentPath(shop, kind, slug);
  const known = openAt(kind, path);
  if (known) return known;
  const stored = await request<Stored<DocumentOf<K>>>(path);
  // Another part of the page may have opened it meanwhile: two stores of one document would not see each other.
  return openAt(kind, path) ?? keep<K>(path, stored);
}

/** A document in its state in this tab if it is open; otherwise as stored. @throws ApiError */
export async function readDocument<K extends KindName>(shop: string, kind: K, slug?: string): Promise<DocumentOf<K>> {
  const path = documentPath(shop, kind, slug);
  const known = openAt(kind, path);
  return known ? known.getState().document : (await request<Stored<DocumentOf<K>>>(path)).document;
}

addEventListener("beforeunload", (event) => {
  // A field being typed in saves its text.
  if (isTypingUnsaved() && document.activeElement instanceof HTMLElement) document.activeElement.blur();
  // The browser asks before leaving while something is unsaved.
  if ([...opened.values()].some((store) => isUnsaved(store.getState()))) event.preventDefault();
});

import type { Edit } from "../document/edit.ts";
import { differs, entryOf } from "./book.ts";
import {
  type Drawing,
  type PhotoGuess,
  type Source,
  type SwatchDocument,
  type SwatchEntry,
  sources,
} from "./book-schema.ts";

/** One undoable step over a swatch book. */
export type SwatchEdit = Edit<SwatchDocument>;

/** One value of one field. */
export interface ValueName {
  field: string;
  id: string;
  label: string;
}

/** Changes a value's entry: the field's own if it has one, otherwise the shared one. An empty entry is removed. */
const setEntry = (
  words: string,
  { field, id }: ValueName,
  change: (entry: SwatchEntry) => SwatchEntry,
): SwatchEdit => ({
  words,
  change: (book) => {
    const next = tidy(change({ ...entryOf(book, field, id) }));
    if (differs(book, field, id)) put(book.own[field] ?? {}, id, next ?? {});
    else put(book.shared, id, next);
  },
});

/** Sets up to four colours for a value; none restores the guess. */
export const setColours = (value: ValueName, colours: readonly string[]): SwatchEdit =>
  setEntry(
    colours.length === 0 ? `${value.label}: no colour` : `${value.label}: ${colours.join(", ")}`,
    value,
    ({ colours: _old, ...entry }) => (colours.length === 0 ? entry : { ...entry, colours: colours.slice(0, 4) }),
  );

/** Sets how several colours of a value are drawn. */
export const setDrawing = (value: ValueName, drawing: Drawing): SwatchEdit =>
  setEntry(`${value.label}: shown as ${drawing}`, value, (entry) => ({ ...entry, drawing }));

/** Sets the picture of a value; undefined removes it. */
export const setPicture = (value: ValueName, picture: string | undefined): SwatchEdit =>
  setEntry(
    picture ? `${value.label}: a picture` : `${value.label}: no picture`,
    value,
    ({ picture: _old, ...entry }) => (picture ? { ...entry, picture } : entry),
  );

/** Sets the alternative text of a value; an empty text restores its name. */
export const setAlt = (value: ValueName, alt: string): SwatchEdit =>
  setEntry(`${value.label}: alternative text`, value, ({ alt: _old, ...entry }) =>
    alt.trim() ? { ...entry, alt: alt.trim().slice(0, 200) } : entry,
  );

/** Gives a value its own entry in this field, or shares the entry again. */
export const setShared = ({ field, id, label }: ValueName, shared: boolean): SwatchEdit => ({
  words: shared ? `${label}: the same in every field` : `${label}: different in this field`,
  change: (book) => {
    if (!shared) {
      if (!Object.hasOwn(book.own, field)) put(book.own, field, {});
      put(book.own[field] ?? {}, id, { ...entryOf(book, field, id) });
    } else if (differs(book, field, id)) {
      put(book.own[field] ?? {}, id, undefined);
      if (Object.keys(book.own[field] ?? {}).length === 0) put(book.own, field, undefined);
    }
  },
});

/** Sets the colours of several values in one step. */
export const setMany = (
  values: readonly { value: ValueName; colours: readonly string[] }[],
  words: string,
): SwatchEdit => ({
  words,
  change: (book) => {
    for (const { value, colours } of values) setColours(value, colours).change(book);
  },
});

/** Sets several values from a list. `own` says whether it applies to this field only; undefined keeps that. */
export const setWhole = (
  given: readonly { value: ValueName; entry: SwatchEntry; own: boolean | undefined }[],
  words: string,
): SwatchEdit => ({
  words,
  change: (book) => {
    for (const { value, entry, own } of given) {
      if (own !== undefined) setShared(value, !own).change(book);
      setEntry(words, value, (now) => ({ ...now, ...structuredClone(entry) })).change(book);
    }
  },
});

/** Stores colours found in product pictures. */
export const setPhotos = (field: string, photos: Readonly<Record<string, PhotoGuess>>, words: string): SwatchEdit => ({
  words,
  change: (book) => put(book.photos, field, { ...photos }),
});

/** Sets the colour difference below which two swatches count as too similar. */
export const setLimit = (limit: number): SwatchEdit => ({
  words: `Too close is below ${limit}`,
  change: (book) => {
    book.limit = Math.max(0, Math.min(50, limit));
  },
});

/** Sets a field's order of sources; the default is left out. */
export const setOrder = (field: string, order: readonly Source[], name: string): SwatchEdit => ({
  words: `${name}: ${order.join(", then ")}`,
  change: (book) => put(book.order, field, order.join() === sources.join() ? undefined : [...order]),
});

/** A drawing without colours is removed. */
function tidy(entry: SwatchEntry): SwatchEntry | undefined {
  const { drawing, ...rest } = entry;
  const kept = drawing === "stripes" ? entry : rest;
  return Object.keys(kept).length === 0 ? undefined : kept;
}

/** Sets or removes a member; ignores the one name that a plain object cannot hold. */
function put<T>(entries: Record<string, T>, id: string, entry: T | undefined): void {
  if (id === "__proto__") return;
  if (entry === undefined) delete entries[id];
  else entries[id] = entry;
}

import type { Edit } from "../document/edit.ts";
import type { Drawing, PhotoGuess, Source, SwatchDocument, SwatchEntry } from "./document.ts";
import { entryOf, sources } from "./document.ts";

/** One step over a swatch book. */
export type SwatchEdit = Edit<SwatchDocument>;

/** One value of one field. */
export interface ValueName {
  field: string;
  id: string;
  label: string;
}

/** Changes a value's entry: its own in its field where it has one, the shared one otherwise. An empty entry is taken out. */
export const setEntry = ({ field, id }: ValueName, change: (entry: SwatchEntry) => SwatchEntry, words: string): SwatchEdit => ({
  words,
  apply: (book) => {
    const next = tidy(change(entryOf(book, field, id) ?? {}));
    const own = book.own[field];
    if (own && Object.hasOwn(own, id)) return { ...book, own: { ...book.own, [field]: put(own, id, next ?? {}) } };
    return { ...book, shared: put(book.shared, id, next) };
  },
});

export const setColours = (value: ValueName, colours: readonly string[]): SwatchEdit =>
  setEntry(
    value,
    ({ colours: _old, ...entry }) => (colours.length === 0 ? entry : { ...entry, colours: colours.slice(0, 4) }),
    colours.length === 0 ? `${value.label}: no colour of its own` : `${value.label}: ${colours.join(", ")}`,
  );

export const setDrawing = (value: ValueName, drawing: Drawing): SwatchEdit =>
  setEntry(value, (entry) => ({ ...entry, drawing }), `${value.label}: drawn as ${drawing}`);

export const setPicture = (value: ValueName, picture: string | undefined): SwatchEdit =>
  setEntry(
    value,
    ({ picture: _old, ...entry }) => (picture ? { ...entry, picture } : entry),
    picture ? `${value.label}: a picture` : `${value.label}: no picture`,
  );

export const setAlt = (value: ValueName, alt: string): SwatchEdit =>
  setEntry(
    value,
    ({ alt: _old, ...entry }) => (alt.trim() ? { ...entry, alt: alt.trim().slice(0, 200) } : entry),
    `${value.label}: alternative text`,
  );

/** Lets a value differ in this field from what it is elsewhere, or share again. */
export const setShared = ({ field, id, label }: ValueName, shared: boolean): SwatchEdit => ({
  words: shared ? `${label}: the same in every field` : `${label}: different in this field`,
  apply: (book) => {
    const own = { ...book.own[field] };
    if (shared) delete own[id];
    else own[id] = book.shared[id] ?? {};
    const { [field]: _old, ...others } = book.own;
    return { ...book, own: Object.keys(own).length > 0 ? { ...others, [field]: own } : others };
  },
});

/** Gives several values their colours in one step. */
export const setMany = (values: readonly { value: ValueName; colours: readonly string[] }[], words: string): SwatchEdit => ({
  words,
  apply: (book) => values.reduce((now, { value, colours }) => setColours(value, colours).apply(now), book),
});

/** Keeps what was found in product pictures. */
export const setPhotos = (field: string, photos: Readonly<Record<string, PhotoGuess>>, words: string): SwatchEdit => ({
  words,
  apply: (book) => ({ ...book, photos: { ...book.photos, [field]: photos } }),
});

export const setLimit = (limit: number): SwatchEdit => ({
  words: `Too close is below ${limit}`,
  apply: (book) => ({ ...book, limit: Math.max(0, Math.min(50, limit)) }),
});

/** The order of fallback of a field; the usual one is left out. */
export const setOrder = (field: string, order: readonly Source[], name: string): SwatchEdit => ({
  words: `${name}: ${order.join(", then ")}`,
  apply: (book) => {
    const { [field]: _old, ...others } = book.order;
    return { ...book, order: JSON.stringify(order) === JSON.stringify(sources) ? others : { ...others, [field]: order } };
  },
});

/** A drawing alone says nothing without colours to draw. */
const tidy = (entry: SwatchEntry): SwatchEntry | undefined => {
  const { drawing, ...rest } = entry;
  const kept = drawing === "stripes" ? entry : rest;
  return Object.keys(rest).length === 0 && drawing !== "stripes" ? undefined : kept;
};

function put<T>(entries: Readonly<Record<string, T>>, id: string, entry: T | undefined): Record<string, T> {
  const { [id]: _old, ...others } = entries;
  return entry === undefined ? others : { ...others, [id]: entry };
}

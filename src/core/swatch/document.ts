/** Version of the swatch book's format that this code writes. */
export const bookFormat = 1;

/** Where a value's swatch can come from. `text` is its name in a tile, and always the last resort. */
export const sources = ["picture", "colour", "name", "photos", "text"] as const;
export type Source = (typeof sources)[number];

/** How several colours are drawn. */
export const drawings = ["sectors", "stripes"] as const;
export type Drawing = (typeof drawings)[number];

/** What the designer has given a value. Absent members are open to guesses. */
export interface SwatchEntry {
  /** One to four, as `#rrggbb`. */
  colours?: readonly string[];
  drawing?: Drawing;
  /** Address of a picture, a pattern or a logo in the shop's own store. */
  picture?: string;
  /** What those hear who do not see it; the value's name when absent. */
  alt?: string;
}

/** Colours that were found in the pictures of the products that state a value. */
export interface PhotoGuess {
  colours: readonly string[];
  /** Pictures in which the first colour was found, and pictures looked at. */
  agree: number;
  of: number;
}

/** Value identity → what holds for it. */
export type Entries<T> = Readonly<Record<string, T>>;

/** The shop's colours and pictures of values, for all panels. */
export interface SwatchDocument {
  format: typeof bookFormat;
  /** What holds for a value in whichever field it stands. */
  shared: Entries<SwatchEntry>;
  /** By field key, what holds in that field only. */
  own: Readonly<Record<string, Entries<SwatchEntry>>>;
  /** By field key, what was found in product pictures. */
  photos: Readonly<Record<string, Entries<PhotoGuess>>>;
  /** By field key, the order of fallback where it is not the usual one. */
  order: Readonly<Record<string, readonly Source[]>>;
  /** Colour difference (CIEDE2000) below which two swatches count as too close. */
  limit: number;
}

export const emptyBook: SwatchDocument = { format: bookFormat, shared: {}, own: {}, photos: {}, order: {}, limit: 5 };

/** The entry of a value in a field: its own there, else the shared one. */
export const entryOf = ({ shared, own }: SwatchDocument, field: string, id: string): SwatchEntry | undefined =>
  (Object.hasOwn(own, field) && Object.hasOwn(own[field], id) ? own[field][id] : undefined) ?? (Object.hasOwn(shared, id) ? shared[id] : undefined);

export const orderOf = ({ order }: SwatchDocument, field: string): readonly Source[] => order[field] ?? sources;

import type { Option } from "../engine/index/option-schema.ts";
import { entryOf, swatchOrder } from "./book.ts";
import type { Drawing, Source, SwatchDocument } from "./book-schema.ts";
import { contrast, deltaE, lowestTextContrast, needsOutline, readableOn } from "./measure.ts";
import type { NameGuess } from "./name-guess.ts";

/** The swatch of a value. Without colours and picture it shows its name in a tile. */
export interface SwatchView {
  colours?: readonly string[];
  drawing?: Drawing;
  picture?: string;
  alt?: string;
  /** It needs an outline to be visible on its background. */
  outline?: true;
  /** Colour of a tick or text on it with the best contrast. */
  mark?: "#000000" | "#ffffff";
  /** No mark is readable on all of its colours: a text on it needs its own background. */
  plate?: true;
}

/** Field key → value identity → its swatch. Values without one are left out. */
export type SwatchBook = Readonly<Record<string, Readonly<Record<string, SwatchView>>>>;

/** Minimum confidence of a guess from a name to be shown to shoppers. */
export const minConfidence = 0.7;

/** The swatch of a value and its source, by the field's order of sources. */
export function swatchViewOf(
  book: SwatchDocument,
  field: string,
  id: string,
  nameGuess: NameGuess | undefined,
): SwatchView & { source: Source } {
  const entry = entryOf(book, field, id);
  const photos = book.photos[field]?.[id];
  const drawn = entry?.drawing ? { drawing: entry.drawing } : {};
  const alt = entry?.alt ? { alt: entry.alt } : {};
  for (const source of swatchOrder(book, field)) {
    if (source === "picture" && entry?.picture)
      return { source, picture: entry.picture, ...(entry.colours ? { colours: entry.colours } : {}), ...alt };
    if (source === "colour" && entry?.colours) return { source, colours: entry.colours, ...drawn, ...alt };
    if (source === "name" && nameGuess && nameGuess.confidence >= minConfidence && !picturesAgainst(nameGuess, photos))
      return { source, colours: nameGuess.colours, ...drawn, ...alt };
    if (source === "photos" && photos) return { source, colours: photos.colours, ...drawn, ...alt };
    if (source === "text") break;
  }
  return { source: "text", ...alt };
}

/**
 * Minimum number of pictures, minimum share that must agree, and minimum colour difference to overrule a name. Common
 * practice, no source.
 */
const fewestPictures = 3;
const nearlyAll = 0.8;
const otherColour = 20;

/** Whether the pictures of nearly all products contradict the colour in a value's name; then the pictures are used. */
export function picturesAgainst(
  { colours }: Pick<NameGuess, "colours">,
  photos: SwatchDocument["photos"][string][string] | undefined,
): boolean {
  if (!photos || photos.of < fewestPictures || photos.agree < photos.of * nearlyAll) return false;
  const [named, shown] = [colours[0], photos.colours[0]];
  return named !== undefined && shown !== undefined && deltaE(named, shown) > otherColour;
}

function measured(
  colours: readonly string[] | undefined,
  ground: string,
): Pick<SwatchView, "outline" | "mark" | "plate"> {
  if (!colours) return {};
  const mark = readableOn(colours);
  return {
    ...(needsOutline(colours, ground) ? { outline: true as const } : {}),
    mark,
    ...(colours.some((colour) => contrast(mark, colour) < lowestTextContrast) ? { plate: true as const } : {}),
  };
}

/**
 * The whole book for shoppers, for the options of some fields.
 * @param ground background of the swatches. Default: white
 */
export function resolveBook(
  book: SwatchDocument,
  fields: readonly { key: string; options: readonly Option[] }[],
  guess: (label: string) => NameGuess | undefined,
  ground = "#ffffff",
): SwatchBook {
  const resolved: Record<string, Record<string, SwatchView>> = {};
  for (const { key, options } of fields) {
    const views = options.flatMap(({ id, label }) => {
      const { source, ...view } = swatchViewOf(book, key, id, guess(label));
      return source === "text" ? [] : [[id, { ...view, ...measured(view.colours, ground) }] as const];
    });
    if (views.length > 0) resolved[key] = Object.fromEntries(views);
  }
  return resolved;
}

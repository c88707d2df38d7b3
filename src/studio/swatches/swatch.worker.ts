import { expose } from "comlink";
import { readSwatchCsv, readTokens } from "../../core/swatch/formats.ts";
import { unzipLines } from "../../core/swatch/list.ts";
import { type ClosePair, closePairs } from "../../core/swatch/measure.ts";
import { guessByName, type NameGuess } from "../../core/swatch/name-guess.ts";
import { type LookedAt, mainColours, type Pixels, type ValueColours, valueColours } from "../../core/swatch/photo.ts";

const looked: LookedAt[] = [];

const served = {
  /** The guesses from names, one per name. */
  guess: (names: readonly string[]): (NameGuess | undefined)[] => names.map(guessByName),
  forgetPictures() {
    looked.length = 0;
  },
  /** Examines one picture of a product with these values. */
  look(pixels: Pixels, values: readonly string[]) {
    looked.push({ clusters: mainColours(pixels), values });
  },
  /** The colours of each value from all pictures. @param wanted number of colours in a value's name */
  colours: (wanted: Readonly<Record<string, number>>): [string, ValueColours][] => [
    ...valueColours(looked, (value) => wanted[value]),
  ],
  closePairs: (swatches: readonly { id: string; colours: readonly string[] }[], limit: number): ClosePair[] =>
    closePairs(swatches, limit),
  /** Reads a list of swatches in any of the open formats. */
  read(text: string) {
    try {
      return { lines: readTokens(JSON.parse(text)), problems: [] };
    } catch {
      return readSwatchCsv(text);
    }
  },
  /** Reads a list with its pictures. @throws RangeError for an unsuitable zip */
  readZip(bytes: Uint8Array) {
    const { pictures, ...list } = unzipLines(bytes);
    return { ...list, pictures: [...pictures] };
  },
  /** Reduces a photograph to the size of a swatch, without its metadata. */
  async shrink(file: Blob, most: number): Promise<Blob> {
    const bitmap = await createImageBitmap(file);
    const scale = Math.min(1, most / Math.max(bitmap.width, bitmap.height));
    const canvas = new OffscreenCanvas(
      Math.max(1, Math.round(bitmap.width * scale)),
      Math.max(1, Math.round(bitmap.height * scale)),
    );
    canvas.getContext("2d")?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    bitmap.close();
    return canvas.convertToBlob({ type: "image/webp", quality: 0.9 });
  },
};
export type SwatchService = typeof served;

expose(served);

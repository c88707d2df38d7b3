import { transfer } from "comlink";
import type { PhotoGuess } from "../../core/swatch/book-schema.ts";
import type { Pixels } from "../../core/swatch/photo.ts";
import type { RemoteDesk } from "../desk/open-desk.ts";
import type { SwatchWorker } from "./use-book.ts";

/** Maximum number of pictures, and number loaded at once. */
const most = 2000;
const atOnce = 6;
const side = 128;
const toldEvery = 120;

export interface Looking {
  /** Number of finished pictures, and of all. */
  done: number;
  of: number;
}

export interface LookResult {
  photos: Record<string, PhotoGuess>;
  /** Pictures that could not be read, such as those of another site. */
  failed: number;
}

/**
 * Finds the main colours in the pictures of all products that state a field, in a worker.
 * @param wanted number of colours in each value's name, if it has any
 * @returns the result so far if cancelled
 */
export async function lookAtPictures(
  desk: RemoteDesk,
  worker: SwatchWorker,
  field: string,
  wanted: Readonly<Record<string, number>>,
  progress: (looking: Looking) => void,
  stop: AbortSignal,
): Promise<LookResult | Looking> {
  const pictures = await desk.pictures(field, most);
  await worker.forgetPictures();
  let done = 0;
  let failed = 0;
  let told = 0;
  const queue = [...pictures];
  const lane = async () => {
    for (let next = queue.shift(); next && !stop.aborted; next = queue.shift()) {
      try {
        const pixels = await pixelsOf(next.address, side);
        await worker.look(transfer(pixels, [pixels.data.buffer]), next.values);
      } catch {
        failed++;
      }
      done++;
      // Rerendering after each picture would leave no time for the pictures.
      if (done === pictures.length || performance.now() - told > toldEvery) {
        told = performance.now();
        progress({ done, of: pictures.length });
      }
    }
  };
  await Promise.all(Array.from({ length: atOnce }, lane));
  if (stop.aborted) return { done, of: pictures.length };
  const found = await worker.colours(wanted);
  return {
    photos: Object.fromEntries(found.map(([id, { colours, agree, of }]) => [id, { colours, agree, of }])),
    failed,
  };
}

/** A picture scaled into a square of `size` px. */
async function pixelsOf(address: string, size: number): Promise<Pixels> {
  const image = new Image(size, size);
  image.crossOrigin = "anonymous";
  image.src = address;
  await image.decode();
  // A canvas that is read often keeps its pixels in memory; otherwise each reading waits for the graphics process.
  const context = new OffscreenCanvas(size, size).getContext("2d", { willReadFrequently: true });
  if (!context) throw new Error("This browser can’t read pictures. Try a different browser.");
  context.drawImage(image, 0, 0, size, size);
  const { data, width, height } = context.getImageData(0, 0, size, size);
  return { data, width, height };
}

import { transfer } from "comlink";
import type { PhotoGuess } from "../../core/swatch/document.ts";
import type { RemoteDesk } from "../desk/open-desk.ts";
import type { SwatchWorker } from "./use-book.ts";

/** Pictures that are looked at, and those on their way at once. */
const most = 2000;
const atOnce = 6;
const side = 128;

export interface Looking {
  /** Pictures done, and how many there are. */
  done: number;
  of: number;
}

export interface LookResult {
  photos: Record<string, PhotoGuess>;
  /** Pictures that could not be read, such as those of another site. */
  failed: number;
}

/**
 * Takes the main colours of the pictures of all products that state a field, in a worker.
 * @param wanted colours that each value's name speaks of, where it speaks of some
 * @returns undefined when it was stopped
 */
export async function lookAtPictures(
  desk: RemoteDesk,
  worker: SwatchWorker,
  field: string,
  wanted: Readonly<Record<string, number>>,
  progress: (looking: Looking) => void,
  stop: AbortSignal,
): Promise<LookResult | undefined> {
  const pictures = await desk.pictures(field, most);
  await worker.forgetPictures();
  let done = 0;
  let failed = 0;
  const queue = [...pictures];
  const lane = async () => {
    for (let next = queue.shift(); next && !stop.aborted; next = queue.shift()) {
      try {
        const bitmap = await bitmapOf(next.address, side);
        await worker.look(transfer(bitmap, [bitmap]), next.values);
      } catch {
        failed++;
      }
      done++;
      progress({ done, of: pictures.length });
    }
  };
  await Promise.all(Array.from({ length: atOnce }, lane));
  if (stop.aborted) return undefined;
  const found = await worker.colours(wanted);
  return { photos: Object.fromEntries(found.map(([id, { colours, agree, of }]) => [id, { colours, agree, of }])), failed };
}

/** A picture in a square of `size` px, however large it is. */
export async function bitmapOf(address: string, size: number): Promise<ImageBitmap> {
  const response = await fetch(address);
  if (!response.ok) throw new Error(`The picture could not be fetched (${response.status}).`);
  const blob = await response.blob();
  const resize = { resizeWidth: size, resizeHeight: size, resizeQuality: "medium" } as const;
  if (!blob.type.startsWith("image/svg")) return createImageBitmap(blob, resize);
  // A vector has no pixels until an element has drawn it.
  const image = new Image(size, size);
  const url = URL.createObjectURL(blob);
  try {
    image.src = url;
    await image.decode();
    const canvas = new OffscreenCanvas(size, size);
    canvas.getContext("2d")?.drawImage(image, 0, 0, size, size);
    return canvas.transferToImageBitmap();
  } finally {
    URL.revokeObjectURL(url);
  }
}

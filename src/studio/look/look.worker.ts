import { expose } from "comlink";
import { type ImportedFile, together } from "../../core/look/from-css/bring.ts";
import { readPicture } from "../../core/look/from-css/picture-colours.ts";
import { type LookReading, readLook } from "../../core/look/from-css/read-look.ts";

/** Maximum side of the examined picture, in px. */
const side = 480;

const served = {
  /** The look in style sheets and a saved page; unreadable ones are reported in words. */
  read(files: readonly ImportedFile[]): { readings: LookReading[]; missing: string[] } | { trouble: string } {
    try {
      const { missing, ...brought } = together(files);
      return { readings: readLook(brought), missing };
    } catch (error) {
      return { trouble: (error as Error).message };
    }
  },
  /** The colours of a screenshot of the shop. */
  async look(name: string, file: Blob): Promise<LookReading[]> {
    const bitmap = await createImageBitmap(file);
    const scale = Math.min(1, side / Math.max(bitmap.width, bitmap.height));
    const canvas = new OffscreenCanvas(
      Math.max(1, Math.round(bitmap.width * scale)),
      Math.max(1, Math.round(bitmap.height * scale)),
    );
    const context = canvas.getContext("2d");
    if (!context) return [];
    context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    bitmap.close();
    return readPicture(name, context.getImageData(0, 0, canvas.width, canvas.height));
  },
};
export type LookService = typeof served;

expose(served);

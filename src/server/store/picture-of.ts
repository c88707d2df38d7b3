import { createHash } from "node:crypto";
import { cleanSvg } from "../../core/sanitize/clean-svg.ts";
import { HttpError } from "../http-error.ts";

const types = { svg: "image/svg+xml", png: "image/png", jpg: "image/jpeg", webp: "image/webp" } as const;

/** The media type of a stored picture by its name; undefined if it isn’t one. */
export const pictureType = (name: string): string | undefined =>
  Object.entries(types).find(([end]) => name.endsWith(`.${end}`))?.[1];

/** A stored picture: sanitized, and named by its content. */
export interface KeptPicture {
  name: string;
  type: string;
  bytes: Uint8Array;
}

/**
 * Converts an upload to a stored picture. Slow: not for the main thread.
 * @throws HttpError if the upload is not a supported picture
 */
export function pictureOf(bytes: Uint8Array): KeptPicture {
  const { end, content } = checkPicture(bytes);
  return { name: `${createHash("sha256").update(content).digest("hex")}.${end}`, type: types[end], bytes: content };
}

/** Detects a picture's type from its first bytes, whatever its name; an SVG is sanitized. */
function checkPicture(bytes: Uint8Array): { end: keyof typeof types; content: Uint8Array } {
  const starts = (...head: number[]) => head.every((byte, i) => bytes[i] === byte);
  const text = (from: number, to: number) => String.fromCharCode(...bytes.subarray(from, to));
  if (starts(0x89, 0x50, 0x4e, 0x47)) return { end: "png", content: bytes };
  if (starts(0xff, 0xd8, 0xff)) return { end: "jpg", content: bytes };
  if (text(0, 4) === "RIFF" && text(8, 12) === "WEBP") return { end: "webp", content: bytes };
  const whole = new TextDecoder().decode(bytes);
  if (!/^\ufeff?\s*(?:<\?xml|<!--|<!DOCTYPE svg|<svg)/i.test(whole))
    throw new HttpError(
      422,
      "This is not a PNG, JPEG, WebP or SVG. Save the picture as one of them and upload it again.",
    );
  const svg = cleanSvg(whole);
  if (svg === undefined)
    throw new HttpError(
      422,
      "This SVG can’t be kept: it is damaged, or draws more than 20,000 elements. Simplify it and upload it again.",
    );
  return { end: "svg", content: new TextEncoder().encode(svg) };
}

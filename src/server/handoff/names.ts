import { createHash } from "node:crypto";

/** A short hash of a content. */
export const shortHash = (bytes: Uint8Array | string): string =>
  createHash("sha256").update(bytes).digest("hex").slice(0, 12);

/** A file's name with a hash of its content before the extension, so that other content has another name. */
export function hashed(name: string, bytes: Uint8Array | string): string {
  const hash = shortHash(bytes);
  const end = name.lastIndexOf(".");
  return `${name.slice(0, end)}.${hash}${name.slice(end)}`;
}

/** The integrity hash, by which a browser rejects other content. Source: Subresource Integrity, 3.1. */
export const integrityOf = (bytes: Uint8Array | string): string =>
  `sha384-${createHash("sha384").update(bytes).digest("base64")}`;

import { createHash } from "node:crypto";

/** SHA-256 of some bytes, in hex. */
export const hashOf = (bytes: Uint8Array | string): string => createHash("sha256").update(bytes).digest("hex");

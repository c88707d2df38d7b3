/** `Cache-Control` for a response whose address contains a hash of its content. */
export const immutable = "public, max-age=31536000, immutable";

/** `Cache-Control` for a file, compressed or not, depending on whether its name contains a hash of its content. */
export const cacheOf = (path: string): string =>
  /-[\w-]{8}\.\w+(?:\.(?:br|gz))?$/.test(path) ? immutable : "no-cache";

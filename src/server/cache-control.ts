/** The `Cache-Control` of an answer whose address names its content. */
export const immutable = "public, max-age=31536000, immutable";

/** The `Cache-Control` of a file, compressed or not, by whether its name carries a hash of its content. */
export const cacheOf = (path: string): string =>
  /-[\w-]{8}\.\w+(?:\.(?:br|gz))?$/.test(path) ? immutable : "no-cache";

import { promisify } from "node:util";
import { brotliCompress, constants, gzip } from "node:zlib";
import type { LRUCache } from "lru-cache";
import { hashOf } from "./hash.ts";

const brotli = promisify(brotliCompress);
const zip = promisify(gzip);

/** Brotli quality: higher values take many times as long for little gain. Common practice, no source. */
const effort = 5;

/** Memory of a cache entry besides its bytes: keys, promises, the map. Measured with 20,000 entries. */
const overhead = 2000;

/** Bytes requested by many: hashed once, compressed once per encoding, and not sent again to clients that have them. */
export class CompressedBody {
  readonly bytes: Uint8Array<ArrayBuffer>;
  /** Entity tag of the content, for `If-None-Match`. */
  readonly tag: string;
  #packed = new Map<string, Promise<Uint8Array>>();
  /** Size in bytes, including compressed forms. */
  size: number;
  readonly #grown: () => void;

  /** @param grown called after a compressed form was added */
  constructor(bytes: Uint8Array<ArrayBuffer>, grown: () => void = () => {}) {
    this.bytes = bytes;
    this.#grown = grown;
    this.size = bytes.length + overhead;
    this.tag = `"${hashOf(bytes).slice(0, 32)}"`;
  }

  /** The response to a request for it. @param cache value of `Cache-Control` */
  async answer(request: Request, type: string, cache: string): Promise<Response> {
    const headers = { "content-type": type, "cache-control": cache, etag: this.tag, vary: "Accept-Encoding" };
    if (isKnown(request.headers.get("if-none-match"), this.tag)) return new Response(null, { status: 304, headers });
    const way = wayFor(request.headers.get("accept-encoding") ?? "");
    if (!way) return new Response(this.bytes, { headers });
    const body = await this.#in(way);
    return new Response(new Uint8Array(body), { headers: { ...headers, "content-encoding": way } });
  }

  #in(way: "br" | "gzip"): Promise<Uint8Array> {
    const known = this.#packed.get(way);
    if (known) return known;
    const { BROTLI_PARAM_QUALITY, BROTLI_PARAM_SIZE_HINT } = constants;
    const made =
      way === "br"
        ? brotli(this.bytes, {
            params: { [BROTLI_PARAM_QUALITY]: effort, [BROTLI_PARAM_SIZE_HINT]: this.bytes.length },
          })
        : zip(this.bytes);
    // The library’s buffers are longer than their content.
    const own = made.then((buffer) => {
      const tight = Uint8Array.from(buffer);
      this.size += tight.length;
      this.#grown();
      return tight;
    });
    this.#packed.set(way, own);
    own.catch(() => this.#packed.delete(way));
    return own;
  }
}

/**
 * Compresses bytes and keeps them in a cache with sizes: the size is updated when a compressed form is added.
 * @param cache with `sizeCalculation` by {@link CompressedBody.size}
 */
export function keepPacked<K extends string>(
  cache: LRUCache<K, CompressedBody>,
  key: K,
  bytes: Uint8Array<ArrayBuffer>,
): CompressedBody {
  const packed = new CompressedBody(bytes, () => {
    if (cache.peek(key) !== packed) return;
    // A cache does not recompute the size of an entry it already has.
    cache.delete(key);
    cache.set(key, packed);
  });
  cache.set(key, packed);
  return packed;
}

/** Whether a list of tags contains one; weak tags count as equal here. Source: RFC 9110, section 13.1.2. */
const isKnown = (list: string | null, tag: string): boolean =>
  (list?.split(",") ?? []).some((one) => one.trim() === "*" || one.trim().replace(/^W\//, "") === tag);

/** The content encoding for a browser; undefined for none. Source: RFC 9110, section 12.5.3. */
function wayFor(accepted: string): "br" | "gzip" | undefined {
  const taken = new Set(
    accepted.split(",").flatMap((one) => {
      const [name = "", weight = ""] = one.toLowerCase().replace(/\s/g, "").split(";q=");
      return weight !== "" && Number(weight) === 0 ? [] : [name];
    }),
  );
  return (["br", "gzip"] as const).find((way) => taken.has(way));
}

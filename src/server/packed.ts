import { promisify } from "node:util";
import { brotliCompress, constants, gzip } from "node:zlib";
import { hashOf } from "./hash.ts";

const brotli = promisify(brotliCompress);
const zip = promisify(gzip);

/** Brotli's effort: beyond this a catalogue takes many times as long and is hardly smaller. Common practice, no source. */
const effort = 5;

/**
 * Bytes that many ask for: hashed once, packed once for each way that browsers take, and not sent to those who have
 * them already.
 */
export class Packed {
  readonly bytes: Uint8Array<ArrayBuffer>;
  /** Names the content, for `If-None-Match`. */
  readonly tag: string;
  #packed = new Map<string, Promise<Uint8Array>>();

  constructor(bytes: Uint8Array<ArrayBuffer>) {
    this.bytes = bytes;
    this.tag = `"${hashOf(bytes).slice(0, 32)}"`;
  }

  /** The answer to a request for it. @param cache what `Cache-Control` says */
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
    this.#packed.set(way, made);
    return made;
  }
}

/** Whether a list of tags names one; a weak tag names the same content here. Source: RFC 9110, section 13.1.2. */
const isKnown = (list: string | null, tag: string): boolean =>
  (list?.split(",") ?? []).some((one) => one.trim() === "*" || one.trim().replace(/^W\//, "") === tag);

/** The way of packing that a browser takes; undefined for none. Source: RFC 9110, section 12.5.3. */
function wayFor(accepted: string): "br" | "gzip" | undefined {
  const taken = new Set(
    accepted.split(",").flatMap((one) => {
      const [name = "", weight = ""] = one
        .trim()
        .toLowerCase()
        .split(/\s*;\s*q=/);
      return weight !== "" && Number(weight) === 0 ? [] : [name];
    }),
  );
  return (["br", "gzip"] as const).find((way) => taken.has(way));
}

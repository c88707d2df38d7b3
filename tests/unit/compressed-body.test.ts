import { brotliDecompressSync, gunzipSync } from "node:zlib";
import { describe, expect, it } from "vitest";
import { CompressedBody } from "../../src/server/compressed-body.ts";

const bytes = new Uint8Array(50_000).map((_, at) => at % 7);
const packed = new CompressedBody(bytes);
const ask = (headers: Record<string, string>) =>
  packed.answer(new Request("http://a.example/", { headers }), "application/octet-stream", "no-cache");

describe("bytes that many ask for", () => {
  // Source: RFC 9110, sections 8.8.3, 12.5.3 and 13.1.2.
  it("are packed as the browser takes them, and are the same bytes again", async () => {
    const open = { br: brotliDecompressSync, gzip: gunzipSync };
    for (const way of ["br", "gzip"] as const) {
      const answer = await ask({ "accept-encoding": way === "br" ? "gzip, deflate, br" : "gzip;q=0.8, br;q=0" });
      expect(answer.headers.get("content-encoding")).toBe(way);
      const body = Buffer.from(await answer.arrayBuffer());
      expect(body.length).toBeLessThan(bytes.length / 50);
      expect(open[way](body).equals(Buffer.from(bytes))).toBe(true);
    }
    const plain = await ask({});
    expect(plain.headers.get("content-encoding")).toBeNull();
    expect((await plain.arrayBuffer()).byteLength).toBe(bytes.length);
    expect(plain.headers.get("vary")).toBe("Accept-Encoding");
  });

  it("are not sent to those who have them", async () => {
    const tag = (await ask({})).headers.get("etag") ?? "";
    for (const known of [tag, `W/${tag}`, `"other", ${tag}`, "*"]) {
      const answer = await ask({ "if-none-match": known });
      expect(answer.status).toBe(304);
      expect((await answer.arrayBuffer()).byteLength).toBe(0);
    }
    expect((await ask({ "if-none-match": '"other"' })).status).toBe(200);
    expect(new CompressedBody(bytes.slice(1)).tag).not.toBe(tag);
  });
});

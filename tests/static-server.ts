import { createReadStream, existsSync, statSync } from "node:fs";
import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { extname, join, normalize } from "node:path";
import { createGzip } from "node:zlib";

const types: Readonly<Record<string, string>> = {
  ".html": "text/html; charset=utf-8",
  ".css": "text/css; charset=utf-8",
  ".js": "text/javascript; charset=utf-8",
  ".json": "application/json",
  ".svg": "image/svg+xml",
  ".woff2": "font/woff2",
};

export interface StaticOptions {
  /** Sent with every answer. */
  headers?: Readonly<Record<string, string>>;
  /** Packs what shrinks, as most hosts do. */
  packed?: boolean;
  /** Answers in place of a file, by its path; undefined leaves it to the disk. */
  instead?(path: string): { status: number; body?: Buffer } | undefined;
  /** Takes what is posted, which a plain server would write down. */
  posted?(path: string, body: string): void;
}

/** A plain file server, as any host has one: it knows folders of files by their place in addresses, and nothing of us. */
export async function serveFiles(mounts: Readonly<Record<string, string>>, options: StaticOptions = {}) {
  const server = createServer((request, response) => {
    const path = decodeURIComponent(new URL(request.url ?? "/", "http://x").pathname);
    if (request.method === "POST") {
      let body = "";
      request.on("data", (part) => {
        body += part;
      });
      request.on("end", () => {
        options.posted?.(path, body);
        response.writeHead(204, options.headers).end();
      });
      return;
    }
    const instead = options.instead?.(path);
    if (instead) {
      response.writeHead(instead.status, options.headers).end(instead.body);
      return;
    }
    const [mount, folder] = Object.entries(mounts).find(([place]) => path.startsWith(place)) ?? [];
    let file = mount && folder ? join(folder, normalize(path.slice(mount.length))) : "";
    if (file && existsSync(file) && statSync(file).isDirectory()) file = join(file, "index.html");
    if (!file || !existsSync(file)) {
      response.writeHead(404, options.headers).end("not here");
      return;
    }
    const type = types[extname(file)] ?? "application/octet-stream";
    const packed = options.packed && !/^(?:font|image)/.test(type);
    response.writeHead(200, {
      "content-type": type,
      ...(packed ? { "content-encoding": "gzip" } : {}),
      ...options.headers,
    });
    const content = createReadStream(file);
    (packed ? content.pipe(createGzip()) : content).pipe(response);
  });
  await new Promise<void>((done) => server.listen(0, "127.0.0.1", done));
  return {
    origin: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    close: () => new Promise((done) => server.close(done)),
  };
}

/** The policy that a handoff has to live under. */
export const strictPolicy = { "content-security-policy": "default-src 'self'" };

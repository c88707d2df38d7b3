import { type ChildProcess, spawn } from "node:child_process";
import { mkdirSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { unzipSync } from "fflate";

/** A running `trellis serve`. */
export interface ServeProcess {
  child: ChildProcess;
  port: number;
}

/**
 * Starts a process that serves an edition's folder, and waits for its address.
 * @param port any free one by default @param stores the shards of a column store
 */
export async function startServe(folder: string, port = 0, stores: readonly string[] = []): Promise<ServeProcess> {
  const more = stores.flatMap((store) => ["--store", store]);
  const child = spawn(process.execPath, ["dist/server/trellis.js", "serve", folder, "--port", String(port), ...more]);
  const said = await new Promise<string>((done, fail) => {
    child.stdout.on("data", (bytes) => done(String(bytes)));
    child.stderr.on("data", (bytes) => fail(new Error(String(bytes))));
  });
  child.stderr.removeAllListeners("data");
  return { child, port: Number(/:(\d+)\//.exec(said)?.[1]) };
}

/** Writes a downloaded edition into a folder as `trellis publish` does: the file that names the current one last. */
export function writeDownloaded(zip: Uint8Array, folder: string): void {
  const files = Object.entries(unzipSync(zip));
  for (const [path, bytes] of [...files.filter(([path]) => path !== "current.json"), ...files.slice(-1)]) {
    mkdirSync(dirname(join(folder, path)), { recursive: true });
    writeFileSync(join(folder, path), bytes);
  }
}

import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { findBrowser } from "../scripts/browser.mjs";
import { startServer } from "./server.ts";

/** How Debian's Chromium is started everywhere in this project. */
export const launch = {
  executablePath: findBrowser() ?? "chromium",
  args: [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
  ],
};

/** Runs a task against a server of its own with the demo shop in a fresh database. */
export async function withServer<T>(port: number, task: (origin: string) => Promise<T>): Promise<T> {
  const folder = mkdtempSync(join(tmpdir(), "trellis-"));
  const server = await startServer(port, join(folder, "shop.db"), port + 1);
  try {
    return await task(server.origin);
  } finally {
    await server.kill();
    rmSync(folder, { recursive: true, force: true });
  }
}

import { spawn } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

/** How Debian's Chromium is started everywhere in this project. */
export const launch = {
  executablePath: "/usr/bin/chromium",
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
  const server = spawn(
    process.execPath,
    ["--import", "tsx", "src/server/main.ts", "--port", String(port), "--data", join(folder, "shop.db")],
    {
      stdio: ["ignore", "ignore", "inherit"],
    },
  );
  const origin = `http://127.0.0.1:${port}`;
  try {
    for (let i = 0; ; i++) {
      const there = await fetch(`${origin}/api/shops`).then(
        (response) => response.ok,
        () => false,
      );
      if (there) break;
      if (i === 150) throw new Error("The server did not start.");
      await new Promise((done) => setTimeout(done, 100));
    }
    return await task(origin);
  } finally {
    server.kill();
    rmSync(folder, { recursive: true, force: true });
  }
}

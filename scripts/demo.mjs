/** `npm run demo`: installs and builds what is missing, then starts the server with the demo shop. */
import { spawn } from "node:child_process";
import { join } from "node:path";
import { ensureBuilt } from "./build.mjs";
import { root } from "./install.mjs";

await ensureBuilt();
const server = spawn(process.execPath, [join(root, "dist/server/main.js"), ...process.argv.slice(2)], {
  cwd: root,
  stdio: "inherit",
});
for (const signal of /** @type {const} */ (["SIGINT", "SIGTERM"])) process.on(signal, () => server.kill(signal));
server.on("exit", (code) => process.exit(code ?? 0));

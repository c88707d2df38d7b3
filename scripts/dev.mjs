/** `npm run dev`: the server with a restart, and the tool's pages with a reload, on every change. */
import { spawn } from "node:child_process";
import { ensurePackages, root } from "./install.mjs";

ensurePackages();
const children = [
  spawn("npx", ["tsx", "watch", "src/server/main.ts", "--port", "4311", "--development", ...process.argv.slice(2)], {
    cwd: root,
    stdio: "inherit",
  }),
  spawn("npx", ["vite"], { cwd: root, stdio: "inherit" }),
];
const stop = () => {
  for (const child of children) child.kill();
};
for (const signal of /** @type {const} */ (["SIGINT", "SIGTERM"])) process.on(signal, stop);
for (const child of children) child.on("exit", stop);

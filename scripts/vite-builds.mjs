/** `node scripts/vite-builds.mjs CONFIG:MODE…` builds one after another in one process, and sends a message after each. */
import { build } from "vite";

for (const one of process.argv.slice(2)) {
  const [configFile = "", mode = ""] = one.split(":");
  await build({ configFile, mode, logLevel: "warn" });
  process.send?.("built");
}

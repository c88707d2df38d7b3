/** `npm run bench`: builds what is missing, then measures. */
import { ensureBrowser } from "./browser.mjs";
import { ensureBuilt } from "./build.mjs";
import { ensurePackages, run } from "./install.mjs";

ensurePackages();
ensureBrowser();
await ensureBuilt();
process.exitCode = run(process.execPath, [
  "--expose-gc",
  "--max-old-space-size=8000",
  "--import",
  "tsx",
  "bench/run.ts",
  ...process.argv.slice(2),
])
  ? 0
  : 1;

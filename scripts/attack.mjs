/** `npm run attack`: builds what is missing, then attacks. */
import { ensureBrowser } from "./browser.mjs";
import { ensureBuilt } from "./build.mjs";
import { ensurePackages, run } from "./install.mjs";

ensurePackages();
ensureBrowser();
await ensureBuilt();
process.exitCode = run(process.execPath, ["--import", "tsx", "tests/attack/run.ts", ...process.argv.slice(2)]) ? 0 : 1;

/** `npm run screenshots`: builds what is missing, then makes the pictures in docs anew. */
import { ensureBrowser } from "./browser.mjs";
import { ensureBuilt } from "./build.mjs";
import { ensurePackages, run } from "./install.mjs";

ensurePackages();
ensureBrowser();
await ensureBuilt();
process.exitCode = run(process.execPath, ["--import", "tsx", "demo/screenshots.ts"]) ? 0 : 1;

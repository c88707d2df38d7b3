/** `npm run -s trellis -- …`: the command line. */
import { spawnSync } from "node:child_process";
import { join } from "node:path";
import { isBuilt } from "./build.mjs";
import { ensurePackages, root } from "./install.mjs";

// The caller's folder stays the working folder, so that paths to catalogues mean what they say.
const cwd = process.env.INIT_CWD ?? process.cwd();
ensurePackages({ forTests: false });
// Nobody who wants a number waits for a build: where none is there it is read from its sources.
const loader = new URL("../node_modules/tsx/dist/loader.mjs", import.meta.url).href;
const program = isBuilt()
  ? [join(root, "dist/server/trellis.js")]
  : ["--import", loader, join(root, "src/cli/trellis.ts")];
const { status } = spawnSync(process.execPath, [...program, ...process.argv.slice(2)], { cwd, stdio: "inherit" });
process.exit(status ?? 1);

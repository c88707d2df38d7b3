/** `npm run -s trellis -- …`: the command line. */
import { spawnSync } from "node:child_process";
import { join } from "node:path";
import { ensurePackages, root } from "./install.mjs";

// The caller's folder stays the working folder, so that paths to catalogues mean what they say.
const cwd = process.env.INIT_CWD ?? process.cwd();
ensurePackages();
const loader = new URL("../node_modules/tsx/dist/loader.mjs", import.meta.url).href;
const { status } = spawnSync(
  process.execPath,
  ["--import", loader, join(root, "src/cli/trellis.ts"), ...process.argv.slice(2)],
  {
    cwd,
    stdio: "inherit",
  },
);
process.exit(status ?? 1);

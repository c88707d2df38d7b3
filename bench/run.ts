/** `npm run bench`: speed, measured; `--json` for machines. */
import { benchInterface } from "./interface.ts";

const timings = await benchInterface();
if (process.argv.includes("--json")) console.log(JSON.stringify({ interface: timings }));
else {
  for (const { name, median_ms, worst_ms, aim_ms } of timings) {
    console.log(`${name}: median ${median_ms} ms, worst ${worst_ms} ms, ${Math.round((median_ms / aim_ms) * 100)} % of the aimed ${aim_ms} ms`);
  }
}

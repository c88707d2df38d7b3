/**
 * `npm run font-metrics`: writes the few numbers of each typeface that the server needs, from the npm package
 * `@capsizecss/metrics`, which is too large to install for them.
 */
import { writeFileSync } from "node:fs";
import { join } from "node:path";
import { root, run } from "./install.mjs";

/** Typefaces in which the storefront can be set, and the system fonts shown until one has loaded. */
const names =
  "arial bricolageGrotesque courierNew figtree georgia jetBrainsMono karla literata newsreader notoSerif nunito outfit roboto timesNewRoman".split(
    " ",
  );
const kept = ["familyName", "fullName", "postscriptName", "ascent", "descent", "lineGap", "unitsPerEm", "xWidthAvg"];

/** @type {Record<string, unknown>} */
const metrics = {};
for (const name of names) {
  /** @type {Record<string, unknown>} */
  const all = (await import(`@capsizecss/metrics/${name}`)).default;
  metrics[name] = Object.fromEntries(kept.map((key) => [key, all[key]]));
}
const path = join(root, "src/server/font-metrics.json");
writeFileSync(path, `${JSON.stringify(metrics, null, 2)}\n`);
run("npx", ["biome", "format", "--write", path]);

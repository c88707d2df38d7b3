/**
 * `npm run bench`: speed, measured. The name of a part as a flag measures that part alone: `--engine`, `--interface`, …;
 * `--load` many shoppers at once, `--own-list` a site’s own long list, `--page` what a shopper's phone waits for,
 * `--views` how long the studio's views take to open, `--scale` a column store beside our own engine and `--growth`,
 * which writes docs/growth, are done only when they are named. `--json` prints the engine's cases for machines;
 * `--against FOLDER` takes turns with an older commit in another work tree.
 */
import { parseArgs } from "node:util";
import { compareWith } from "./compare.ts";
import { benchEngine, DifferentAnswer, type EngineCase } from "./engine.ts";
import { writeGrowth } from "./growth.ts";
import { benchHolds } from "./holds.ts";
import { benchInterface } from "./interface.ts";
import { benchLarge, type LargeImport } from "./large.ts";
import { benchLoad } from "./load.ts";
import { benchLooks } from "./looks.ts";
import { benchOwnList } from "./own-list.ts";
import { benchPage } from "./page.ts";
import { benchPages } from "./pages.ts";
import { benchRehearsal } from "./rehearsal.ts";
import { benchScale } from "./scale.ts";
import { benchSwatches } from "./swatches.ts";
import type { Timing } from "./timing.ts";
import { benchViews } from "./views.ts";

const sizes = [20_000, 100_000];
const usual = {
  engine: () => benchEngines(),
  pages: async () => reportTimes(await benchPages()),
  looks: async () => reportTimes(await benchLooks()),
  interface: async () => reportTimes(await benchInterface()),
  swatches: async () => reportTimes(await benchSwatches()),
  rehearsal: () => reportTimes(benchRehearsal()),
  large: async () => reportLarge(await benchLarge(100_000, 3)),
};
const byThemselves = {
  page: async () => {
    const shops: [number, number][] = [
      [20_000, 30],
      [100_000, 10],
    ];
    reportLines(await benchPage(shops));
  },
  load: async () => {
    reportLines(await benchHolds());
    reportLines(await benchLoad(40));
    reportLines(await benchLoad(2000));
  },
  "own-list": async () => reportTimes(await benchOwnList()),
  views: async () => reportTimes(await benchViews()),
  growth: () => writeGrowth(),
  scale: () => benchScale(),
};
const parts: Record<string, () => void | Promise<void>> = { ...usual, ...byThemselves };

try {
  const { values: asked } = parseArgs({
    options: {
      json: { type: "boolean" },
      against: { type: "string" },
      ...Object.fromEntries(Object.keys(parts).map((name) => [name, { type: "boolean" as const }])),
    },
  });
  const named = Object.keys(parts).filter((name) => name in asked);
  if (asked.against !== undefined) compareWith(asked.against);
  else if (asked.json) console.log(JSON.stringify({ cases: sizes.map((products) => benchEngine(products)) }));
  else for (const name of named.length > 0 ? named : Object.keys(usual)) await parts[name]?.();
} catch (error) {
  const isMisused = error instanceof TypeError && "code" in error && String(error.code).startsWith("ERR_PARSE_ARGS");
  if (!isMisused && !(error instanceof DifferentAnswer)) throw error;
  console.error(isMisused ? `${error.message}. The parts are: --${Object.keys(parts).join(", --")}.` : error.message);
  process.exitCode = isMisused ? 2 : 1;
}

function benchEngines(): void {
  const cases = sizes.map((products) => benchEngine(products));
  for (const one of cases) report(one);
}

function reportLines(all: readonly object[]): void {
  for (const one of all) console.log(JSON.stringify(one));
}

function reportTimes(timings: readonly Timing[]): void {
  for (const { name, median_ms, worst_ms, aim_ms } of timings)
    console.log(
      `${name}: median ${median_ms} ms, worst ${worst_ms} ms, ${Math.round((median_ms / aim_ms) * 100)} % of the aimed ${aim_ms} ms`,
    );
}

function reportLarge({ variants, file_mb, read_s, store_s, open_s, filter_ms, longest_task_ms }: LargeImport): void {
  console.log(
    `${variants.toLocaleString("en")} variants from a CSV of ${file_mb} MB in the browser: read ${read_s} s, stored ${store_s} s, bench open ${open_s} s;`,
  );
  console.log(
    `  the table of variants narrowed down in ${filter_ms} ms; the page was never held up longer than ${longest_task_ms} ms`,
  );
}

function report({
  products,
  ours_ms,
  peers,
  ratio_to_fastest_peer,
  variant_exact_ms,
  click_ms,
  build,
  index_mb,
}: EngineCase): void {
  const listed = (times: Record<string, number>) =>
    Object.entries(times)
      .map(([name, ms]) => `${name} ${ms}`)
      .join(", ");
  console.log(
    `${products.toLocaleString("en")} products, all options of ten facets recounted, ms (median of 20 selections):`,
  );
  console.log(`  ours ${ours_ms}, ${listed(peers)}: ${ratio_to_fastest_peer} times as fast as the fastest peer`);
  console.log(`  exact by variant, three a product: ${variant_exact_ms}; after a click ${click_ms}`);
  console.log(
    `  index from parsed rows: ours ${build.ours_ms}, ${listed(build.peers)}; with variants ${build.variant_exact_ms}, ${index_mb} MB`,
  );
}

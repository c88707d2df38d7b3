/**
 * `npm run bench`: speed, measured; `--json` prints the engine's cases for machines; `--growth` writes docs/growth;
 * `--load` many shoppers at once; `--page` what a shopper's phone waits for; `--against FOLDER` takes turns with an older commit in another work tree. */
import { compareWith } from "./compare.ts";
import { benchEngine, DifferentAnswer, type EngineCase } from "./engine.ts";
import { writeGrowth } from "./growth.ts";
import { benchHolds } from "./holds.ts";
import { benchInterface } from "./interface.ts";
import { benchLarge } from "./large.ts";
import { benchLoad } from "./load.ts";
import { benchLooks } from "./looks.ts";
import { benchPage } from "./page.ts";
import { benchPages } from "./pages.ts";
import { benchRehearsal } from "./rehearsal.ts";
import { benchSwatches } from "./swatches.ts";

const sizes = [20_000, 100_000];
try {
  if (process.argv.includes("--growth")) {
    writeGrowth();
    process.exit();
  }
  if (process.argv.includes("--page")) {
    for (const one of await benchPage([
      [20_000, 30],
      [100_000, 10],
    ]))
      console.log(JSON.stringify(one));
    process.exit();
  }
  if (process.argv.includes("--load")) {
    for (const one of await benchHolds()) console.log(JSON.stringify(one));
    for (const one of [...(await benchLoad(40)), ...(await benchLoad(2000))]) console.log(JSON.stringify(one));
    process.exit();
  }
  const against = process.argv[process.argv.indexOf("--against") + 1];
  if (process.argv.includes("--against") && against) {
    compareWith(against);
    process.exit();
  }
  const cases = sizes.map((products) => benchEngine(products));
  if (process.argv.includes("--json")) console.log(JSON.stringify({ cases }));
  else {
    for (const one of cases) report(one);
    for (const { name, median_ms, worst_ms, aim_ms } of [
      ...(await benchPages()),
      ...(await benchLooks()),
      ...(await benchInterface()),
      ...(await benchSwatches()),
      ...benchRehearsal(),
    ]) {
      console.log(
        `${name}: median ${median_ms} ms, worst ${worst_ms} ms, ${Math.round((median_ms / aim_ms) * 100)} % of the aimed ${aim_ms} ms`,
      );
    }
    const { variants, file_mb, read_s, store_s, open_s, filter_ms, longest_task_ms } = await benchLarge(100_000, 3);
    console.log(
      `${variants.toLocaleString("en")} variants from a CSV of ${file_mb} MB in the browser: read ${read_s} s, stored ${store_s} s, bench open ${open_s} s;`,
    );
    console.log(
      `  the table of variants narrowed down in ${filter_ms} ms; the page was never held up longer than ${longest_task_ms} ms`,
    );
  }
} catch (error) {
  if (!(error instanceof DifferentAnswer)) throw error;
  console.error(error.message);
  process.exitCode = 1;
}

function report({
  products,
  ours_ms,
  peers,
  ratio_to_fastest_peer,
  variant_exact_ms,
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
  console.log(`  exact by variant, three a product: ${variant_exact_ms}`);
  console.log(
    `  index from parsed rows: ours ${build.ours_ms}, ${listed(build.peers)}; with variants ${build.variant_exact_ms}, ${index_mb} MB`,
  );
}

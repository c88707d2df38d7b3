/** How counting grows with the catalogue: a table and a log-log chart in docs, `npm run bench -- --growth`. */
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { benchEngine, type EngineCase } from "./engine.ts";

/** What follows it in docs/growth.md is written by hand and stays. */
const handMark = "\n## Beyond one process\n";
const sizes = [1_000, 3_000, 10_000, 30_000, 100_000, 300_000];
/** SQLite takes minutes to be filled and asked beyond this. */
const maxForSql = 30_000;
const colours: Record<string, string> = {
  ours: "#b4561b",
  "exact by variant": "#321a3d",
  itemsjs: "#4d6b33",
  crossfilter2: "#4a5f8f",
  sqlite: "#7a6a80",
};

export function writeGrowth(): void {
  const cases = sizes.map((products) =>
    benchEngine(products, products > maxForSql ? ["itemsjs", "crossfilter2"] : undefined),
  );
  mkdirSync("docs", { recursive: true });
  const before = existsSync("docs/growth.md") ? readFileSync("docs/growth.md", "utf8") : "";
  const [, byHand = ""] = before.split(handMark);
  writeFileSync("docs/growth.md", page(cases) + (byHand === "" ? "" : handMark + byHand));
  writeFileSync("docs/growth.svg", chart(cases));
}

const shown = (number: number | undefined) =>
  number === undefined ? "" : number.toLocaleString("en", { maximumSignificantDigits: 3 });

function page(cases: readonly EngineCase[]): string {
  const rows = cases.map(
    ({ products, ours_ms, variant_exact_ms, click_ms, peers, build, index_mb }) =>
      `| ${shown(products)} | ${shown(ours_ms)} | ${shown(variant_exact_ms)} | ${shown(click_ms)} | ${shown(peers.itemsjs)} | ${shown(peers.crossfilter2)} | ${shown(peers.sqlite)} | ${shown(build.ours_ms)} | ${shown(build.peers.itemsjs)} | ${shown(index_mb)} |`,
  );
  return `# How counting grows

Written by \`npm run bench -- --growth\`. Milliseconds to recount every option of ten facets: the median of twenty selections in one to three facets, on the machine that ran it. On other machines only the ratios are meaningful. “Exact by variant” counts three variants per product; “after a click” does so too, one option after another, and counts only what the click changes. The last columns are the time to build the index from parsed rows, and the size of the index with variants.

| products | ours, ms | exact by variant, ms | after a click, ms | itemsjs, ms | crossfilter2, ms | SQLite, ms | our index, ms | itemsjs' index, ms | index, MB |
|---:|---:|---:|---:|---:|---:|---:|---:|---:|---:|
${rows.join("\n")}

![Time against products, both logarithmic](growth.svg)
`;
}

/** Lines over logarithmic axes. */
function chart(cases: readonly EngineCase[]): string {
  const [width, height, left, bottom] = [720, 420, 60, 44];
  const lines: [string, (one: EngineCase) => number | undefined][] = [
    ["ours", (one) => one.ours_ms],
    ["exact by variant", (one) => one.variant_exact_ms],
    ...["itemsjs", "crossfilter2", "sqlite"].map((name): [string, (one: EngineCase) => number | undefined] => [
      name,
      (one) => one.peers[name],
    ]),
  ];
  const times = cases.flatMap((one) => lines.flatMap(([, read]) => read(one) ?? []));
  const [low, high] = [Math.floor(Math.log10(Math.min(...times))), Math.ceil(Math.log10(Math.max(...times)))];
  const x = (products: number) =>
    left + ((Math.log10(products) - 3) / (Math.log10(300_000) - 3)) * (width - left - 130);
  const y = (ms: number) => height - bottom - ((Math.log10(ms) - low) / (high - low)) * (height - bottom - 20);
  const text = (at: [number, number], words: string, extra = "") =>
    `<text x="${at[0].toFixed(1)}" y="${at[1].toFixed(1)}" ${extra}>${words}</text>`;
  const grid = Array.from({ length: high - low + 1 }, (_, i) => 10 ** (low + i)).map(
    (ms) =>
      `<path d="M${left} ${y(ms).toFixed(1)}H${width - 130}" stroke="#e5dac8"/>${text([left - 8, y(ms) + 4], `${shown(ms)} ms`, 'text-anchor="end"')}`,
  );
  const ticks = sizes.map((products) =>
    text([x(products), height - bottom + 20], shown(products), 'text-anchor="middle"'),
  );
  const drawn = lines.map(([name, read]) => {
    const points = cases.flatMap((one) => {
      const ms = read(one);
      return ms === undefined ? [] : [[x(one.products), y(ms)] as [number, number]];
    });
    const path = points.map(([px, py], i) => `${i ? "L" : "M"}${px.toFixed(1)} ${py.toFixed(1)}`).join("");
    const [endX, endY] = points[points.length - 1];
    return `<path d="${path}" fill="none" stroke="${colours[name]}" stroke-width="2.5"/>${text([endX + 8, endY + 4], name, `fill="${colours[name]}"`)}`;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="-20 0 ${width + 20} ${height}" font-family="sans-serif" font-size="13" fill="#321a3d"><rect x="-20" width="${width + 20}" height="${height}" fill="#fffdf8"/>${grid.join("")}${ticks.join("")}${text([left, height - 6], "products")}${drawn.join("")}</svg>\n`;
}

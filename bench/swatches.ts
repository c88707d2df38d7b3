/** How long the swatch book's guesses take: names in Node, pictures in the built application and a real browser. */
import { readFileSync } from "node:fs";
import { chromium } from "@playwright/test";
import Papa from "papaparse";
import { guessByName } from "../src/core/swatch/name-guess.ts";
import { launch, withServer } from "../tests/browser.ts";
import { longestTask, watchTasks } from "./longest-task.ts";
import type { Timing } from "./timing.ts";

const names = 500;
const pictures = 1000;

export async function benchSwatches(): Promise<Timing[]> {
  return [guessNames(), ...(await lookAtPictures())];
}

/** Names of two and three words, the lists read for the first time. */
function guessNames(): Timing {
  const parts = [
    "dusty",
    "pale",
    "deep",
    "sea",
    "moss",
    "rose",
    "rust",
    "sand",
    "slate",
    "green",
    "blue",
    "red",
    "brown",
    "shell",
    "gate",
  ];
  const labels = Array.from(
    { length: names },
    (_, i) => `${parts[i % 15]} ${parts[(i * 7 + 3) % 15]} ${i % 3 ? parts[(i * 4 + 1) % 15] : ""}`,
  );
  const start = performance.now();
  for (const label of labels) guessByName(label);
  return once(`${names} values guessed by name, the lists read anew`, performance.now() - start, 1000);
}

const once = (name: string, ms: number, aim_ms: number): Timing => ({
  name,
  median_ms: Math.round(ms),
  worst_ms: Math.round(ms),
  aim_ms,
});

/** The demo's drawings under addresses of their own, so that each is fetched and decoded. */
const lookAtPictures = (): Promise<Timing[]> =>
  withServer(4398, async (origin) => {
    const browser = await chromium.launch(launch);
    try {
      const rows = Papa.parse<Record<string, string>>(readFileSync("demo/nursery.csv", "utf8"), {
        header: true,
        skipEmptyLines: true,
      }).data;
      const pictured = [
        ...new Map(rows.filter((row) => row["Flower colour"]).map((row) => [row.product_id, row])).values(),
      ];
      const list = Array.from({ length: pictures }, (_, i) => {
        const row = pictured[i % pictured.length];
        return {
          product_id: `p${i}`,
          title: `Plant ${i}`,
          image: `${row.image}?${i}`,
          "Flower colour": row["Flower colour"],
        };
      });
      const form = new FormData();
      form.set("file", new File([Papa.unparse(list)], "pictures.csv"));
      form.set("name", "Pictures");
      form.set("currency", "EUR");
      const { slug } = await (
        await fetch(`${origin}/api/shops`, { method: "POST", body: form, headers: { origin } })
      ).json();
      const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
      await watchTasks(page);
      await page.goto(`${origin}/shops/${slug}/swatches/flower-colour`);
      await page.getByRole("table").waitFor();
      // The time to open the page does not count here.
      await page.evaluate("window.tasks.length = 0");
      const start = performance.now();
      await page.getByRole("button", { name: "Look at the pictures" }).click();
      await page.getByText(/^Colours for 17 of 17/).waitFor({ timeout: 120_000 });
      const ms = performance.now() - start;
      const longest = await longestTask(page);
      return [
        once(`${pictures} drawn pictures looked at`, ms, 20_000),
        once("longest hold of the page meanwhile", longest, 100),
      ];
    } finally {
      await browser.close();
    }
  });

/** A month-long visit: what the memory of a shop's page comes to over 2,000 choices. Part of `npm run bench -- --page`. */
import type { Browser, CDPSession, Page } from "@playwright/test";
import { Random } from "../demo/random.ts";

const choices = 2000;
/** Choices before the first measurement: by then all that is kept once is kept. */
const settled = 200;

/** Megabytes of script's objects that are left after the garbage was taken away. */
export interface Visit {
  name: string;
  after_200_mb: number;
  after_2000_mb: number;
  dom_nodes: [after200: number, after2000: number];
}

/** Chooses and takes back by chance, as fast as the page shows it. */
export async function benchVisit(browser: Browser, name: string, address: string): Promise<Visit> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  try {
    const page = await context.newPage();
    const session = await context.newCDPSession(page);
    await page.goto(address);
    await page.waitForSelector("html[data-ready]", { state: "attached", timeout: 120_000 });
    const random = new Random(14);
    await choose(page, settled, random);
    const first = await left(session);
    await choose(page, choices - settled, random);
    const last = await left(session);
    return { name, after_200_mb: first.mb, after_2000_mb: last.mb, dom_nodes: [first.nodes, last.nodes] };
  } finally {
    await context.close();
  }
}

async function choose(page: Page, times: number, random: Random): Promise<void> {
  for (let n = 0; n < times; n += 20)
    await page.evaluate(
      async (draws) => {
        for (const draw of draws) {
          const boxes = [...document.querySelectorAll<HTMLInputElement>(".zt-panel input[type=checkbox]:enabled")];
          boxes[Math.floor(draw * boxes.length)]?.click();
          await new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
        }
      },
      Array.from({ length: 20 }, () => random.next()),
    );
}

async function left(session: CDPSession): Promise<{ mb: number; nodes: number }> {
  await session.send("HeapProfiler.collectGarbage");
  const { usedSize } = await session.send("Runtime.getHeapUsage");
  const { nodes } = await session.send("Memory.getDOMCounters");
  return { mb: Math.round(usedSize / 1e5) / 10, nodes };
}

import type { Browser, CDPSession, Page } from "@playwright/test";

/** A phone as Chromium stands in for one. */
export const phone = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };

/** Each page is loaded so often, and the median told. */
const repeats = 5;

export const percentile = (times: readonly number[], share: number): number =>
  Math.round([...times].sort((a, b) => a - b)[Math.min(times.length - 1, Math.floor(times.length * share))] ?? 0);

/** Slows a page down as a usual phone is. The latency is added to each request, not to each packet. */
export async function slowed(page: Page): Promise<CDPSession> {
  const session = await page.context().newCDPSession(page);
  await session.send("Network.enable");
  await session.send("Network.emulateNetworkConditions", {
    offline: false,
    latency: 150,
    downloadThroughput: 1_600_000 / 8,
    uploadThroughput: 750_000 / 8,
  });
  await session.send("Emulation.setCPUThrottlingRate", { rate: 4 });
  return session;
}

/** How a page loads. Times in ms from the start of the navigation. */
export interface Load {
  awake: number;
  /** Bytes over the wire before it was awake, without fonts and pictures. */
  bytes: number;
  /** Largest contentful paint. */
  lcp: number;
}

/**
 * Loads a page some times as a phone would.
 * @param isAwake an expression that holds in the page once it is
 * @returns medians
 */
export async function loads(browser: Browser, address: string, isAwake: string): Promise<Load> {
  const all: Load[] = [];
  for (let n = 0; n < repeats; n++) all.push(await load(browser, address, isAwake));
  const by = (pick: (one: Load) => number) => percentile(all.map(pick), 0.5);
  return { awake: by(({ awake }) => awake), bytes: by(({ bytes }) => bytes), lcp: by(({ lcp }) => lcp) };
}

async function load(browser: Browser, address: string, isAwake: string): Promise<Load> {
  const context = await browser.newContext(phone);
  try {
    const page = await context.newPage();
    const session = await slowed(page);
    const kinds = new Map<string, string>();
    let bytes = 0;
    session.on("Network.responseReceived", ({ requestId, type }) => kinds.set(requestId, type));
    session.on("Network.dataReceived", ({ requestId, encodedDataLength }) => {
      if (!["Font", "Image"].includes(kinds.get(requestId) ?? "")) bytes += encodedDataLength;
    });
    await page.addInitScript(`
      new PerformanceObserver((list) => Object.assign(window, { lcp: list.getEntries().at(-1)?.startTime }))
        .observe({ type: "largest-contentful-paint", buffered: true });
      const look = () => {
        if (document.documentElement && (${isAwake})) window.awakeAt = performance.now();
        else setTimeout(look, 4);
      };
      look();
    `);
    await page.goto(address, { waitUntil: "commit" });
    await page.waitForFunction(() => Reflect.get(window, "awakeAt"), undefined, { timeout: 120_000, polling: 50 });
    const before = bytes;
    const awake = await page.evaluate(() => Number(Reflect.get(window, "awakeAt")));
    await page.waitForTimeout(1500);
    return { awake, bytes: before, lcp: await page.evaluate(() => Number(Reflect.get(window, "lcp"))) };
  } finally {
    await context.close();
  }
}

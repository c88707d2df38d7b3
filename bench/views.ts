/**
 * How long the studio's views take to open, each in a browser that has never been there: until its heading and
 * everything it loads is on the screen, and for the panels until the first live page is.
 */
import { chromium } from "@playwright/test";
import { launch, withServer } from "../tests/browser.ts";
import { studioViews } from "../tests/studio-views.ts";
import { type Timing, timing } from "./timing.ts";

/** Openings of each view; each starts a browser of its own. */
const repeats = 7;

interface Opening {
  /** Milliseconds from the start of the navigation to the frame that shows the view; 0 until it is painted. */
  view: number;
  /** The same for the first live page of the shop in it; undefined until there is one. */
  page?: number | undefined;
}

/** Measures against a server with the demo shop, which has answered for a while. */
export const benchViews = (): Promise<Timing[]> =>
  withServer(4396, async (origin) => {
    const shop = `${origin}/shops/larkmoss-nursery`;
    // The server draws the shop's pages once after its start.
    await new Promise((done) => setTimeout(done, 30_000));
    const openings = new Map<string, Opening[]>(studioViews.map((view) => [view, []]));
    for (let round = 0; round <= repeats; round++)
      for (const view of studioViews) {
        const opening = await open(`${shop}${view}`, view === "/panels");
        // The first round fills the server's caches.
        if (round > 0) openings.get(view)?.push(opening);
      }
    return [...openings].flatMap(([view, all]) => {
      const name = view === "" ? "the overview" : view;
      const pages = all.flatMap(({ page }) => page ?? []);
      return [
        timing(
          `${name} is there`,
          all.map((one) => one.view),
          600,
        ),
        ...(pages.length > 0 ? [timing(`${name}: the first live page`, pages, 1000)] : []),
      ];
    });
  });

/** Opens an address in a new browser. @param withPage waits for a live page of the shop, too */
async function open(address: string, withPage: boolean): Promise<Opening> {
  const browser = await chromium.launch(launch);
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    // The loader that runs this file marks functions with a helper that a page does not have.
    await page.addInitScript("window.__name = (it) => it");
    await page.addInitScript(watch);
    await page.goto(address);
    const read = () => page.evaluate(() => (window as unknown as { opening: Partial<Opening> }).opening);
    for (let i = 0; i < 50; i++) {
      const { view, page: live } = await read();
      if (view && (live || !withPage)) return { view, page: live };
      // Long enough not to be in the way of what is measured.
      await new Promise((done) => setTimeout(done, 400));
    }
    throw new Error(`${address} did not open.`);
  } finally {
    await browser.close();
  }
}

/** Runs in the page: looks at each frame whether the view, and then a live page in it, is there. */
function watch(): void {
  if (window !== window.top) return;
  const opening: Partial<Opening> = {};
  Object.assign(window, { opening });
  const painted = (name: keyof Opening) => {
    opening[name] = 0;
    const channel = new MessageChannel();
    channel.port1.onmessage = () => {
      opening[name] = performance.now();
    };
    requestAnimationFrame(() => channel.port2.postMessage(0));
  };
  const look = () => {
    const root = document.querySelector("#root");
    if (opening.view === undefined && root?.querySelector("h1") && !/Loading[^.]*…/.test(root.textContent ?? ""))
      painted("view");
    if (opening.page === undefined)
      for (const frame of document.querySelectorAll("iframe"))
        if (frame.contentDocument?.documentElement?.hasAttribute("data-ready")) painted("page");
    if (opening.view === undefined || opening.page === undefined) requestAnimationFrame(look);
  };
  requestAnimationFrame(look);
}

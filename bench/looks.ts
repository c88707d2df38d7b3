/** The cost of looks: from a step of one of their numbers until both frames of the live page show it. */
import { chromium } from "@playwright/test";
import { launch, withServer } from "../tests/browser.ts";
import { type Timing, timing } from "./timing.ts";

const steps = 30;

export const benchLooks = (): Promise<Timing[]> =>
  withServer(4395, async (origin) => {
    const browser = await chromium.launch(launch);
    try {
      const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
      await page.addInitScript("window.__name = (it) => it");
      await page.goto(`${origin}/shops/larkmoss-nursery/bench`);
      const wide = page.frameLocator('iframe[title^="Wide page"]');
      await wide.locator("html[data-ready]").waitFor({ state: "attached" });
      await page.frameLocator('iframe[title^="Phone"]').locator("html[data-ready]").waitFor({ state: "attached" });
      await page.keyboard.press("a");
      await wide.getByRole("button", { name: "Style of Light" }).click();
      const card = page.getByRole("dialog", { name: "Style of Light" });
      await card.getByRole("button", { name: "All in this look" }).click();
      await card.getByRole("combobox", { name: "Part" }).selectOption("title");
      await page.waitForTimeout(1000);
      const times: number[] = [];
      for (let n = 0; n < steps; n++) {
        times.push(
          await page.evaluate(async () => {
            const spacings = () =>
              [...document.querySelectorAll("iframe")]
                .filter(({ title }) => /^(Wide page|Phone)/.test(title))
                .map((frame) => {
                  const title = frame.contentDocument?.querySelector(".zt-title");
                  return title ? getComputedStyle(title).letterSpacing : "";
                });
            const before = spacings();
            const field = document.querySelector<HTMLInputElement>('[data-token="title.spacing"] input');
            const start = performance.now();
            field?.dispatchEvent(new KeyboardEvent("keydown", { key: "ArrowUp", bubbles: true }));
            while (spacings().some((one, at) => one === before[at])) {
              if (performance.now() - start > 3000) throw new Error("The frames never showed it.");
              await new Promise((done) => setTimeout(done, 1));
            }
            return performance.now() - start;
          }),
        );
        await page.waitForTimeout(150);
      }
      return [timing("a number of the look, in both frames", times, 50)];
    } finally {
      await browser.close();
    }
  });

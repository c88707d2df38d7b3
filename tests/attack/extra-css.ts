import { chromium } from "@playwright/test";
import { launch } from "../browser.ts";
import { contain, randomSheets } from "../contained-page.ts";
import { type Attack, some } from "./attack.ts";

/** Random style sheets of the grammar's own parts as a designer's extra CSS: Chromium says what they do outside of the panel. */
export const extraCss: Attack = {
  name: "a designer’s CSS in Chromium",
  async run(share) {
    const browser = await chromium.launch(launch);
    try {
      const seeds = Array.from({ length: some(4000, share) }, (_, n) => 10_000 + n);
      const { sheets, seen, failures } = await contain(await browser.newPage(), randomSheets(seeds));
      return { tries: sheets, failures, measured: `${seen} of them changed the panel itself` };
    } finally {
      await browser.close();
    }
  },
};

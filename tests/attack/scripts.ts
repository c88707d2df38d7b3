import { chromium } from "@playwright/test";
import { launch, withServer } from "../browser.ts";
import { studioViews } from "../studio-views.ts";
import type { Attack } from "./attack.ts";

/** Texts that run where they are taken for markup or addresses. Common practice, no source. */
const payloads = [
  '<img src=x onerror="hit()">',
  "<script>hit()</script>",
  "<svg onload=hit()>",
  '"><svg/onload=hit()>',
  "' autofocus onfocus=hit() x='",
  "javascript:hit()",
  "java\tscript:hit()",
  "data:text/html,<script>hit()</script>",
  "</script><script>hit()</script>",
  "</style><script>hit()</script>",
  "<!--><script>hit()</script>",
  "{{constructor.constructor('hit()')()}}",
  `$${"{hit()}"}`,
  '<iframe srcdoc="<script>parent.hit()</script>">',
  "<math><mtext></form><form><mglyph><svg><mtext><style><path id='</style><img onerror=hit() src>'>",
  "u\\72l(javascript:hit())",
  "\u2028hit()//",
];

/** Hostile text of a catalogue, of documents and of addresses, in a real browser: nothing runs. */
export const scripts: Attack = {
  name: "hostile text, HTML and addresses in Chromium",
  run: () =>
    withServer(4388, async (origin) => {
      const cell = (text: string) => `"${text.replaceAll('"', '""')}"`;
      const columns = ["title", "brand", "category", "tags", "colour", "image", ...payloads.slice(0, 4)];
      const rows = payloads.map((text) => columns.map(() => cell(text)).join(","));
      const form = new FormData();
      form.set("file", new File([[columns.map(cell).join(","), ...rows].join("\n")], "hostile.csv"));
      form.set("name", payloads[0] ?? "");
      form.set("currency", "EUR");
      const made = await (
        await fetch(`${origin}/api/shops`, { method: "POST", body: form, headers: { origin } })
      ).json();
      const browser = await chromium.launch(launch);
      const failures: string[] = [];
      let tries = 0;
      try {
        const context = await browser.newContext();
        await context.addInitScript("window.hits = 0; window.hit = () => { window.hits++; };");
        const page = await context.newPage();
        page.on("dialog", (dialog) => void dialog.dismiss());
        const visit = async (path: string) => {
          tries++;
          await page.goto(origin + path);
          await page.waitForTimeout(350);
          for (const frame of page.frames()) {
            const hits = await frame.evaluate(() => Number(Reflect.get(window, "hits"))).catch(() => 0);
            if (hits > 0) failures.push(`${path}: ${hits} scripts ran`);
          }
        };
        for (const view of studioViews) await visit(`/shops/${made.slug}${view}`);
        await visit(`/draft/${made.slug}/`);
        for (const text of payloads) {
          await visit(`/draft/${made.slug}/?q=${encodeURIComponent(text)}&colour=${encodeURIComponent(text)}`);
          await visit(`/draft/${made.slug}/search?q=${encodeURIComponent(text)}`);
        }
      } finally {
        await browser.close();
      }
      return { tries, failures, measured: `${payloads.length} payloads in ten columns` };
    }),
};

import { chromium } from "@playwright/test";
import { launch, withServer } from "./browser.ts";

const seed = Number(process.argv[2] ?? 1),
  acts = Number(process.argv[3] ?? 60),
  panel = process.argv[4] ?? "climber-finder";
let a = seed >>> 0;
const r = () => {
  a = (a + 0x6d2b79f5) >>> 0;
  let t = a;
  t = Math.imul(t ^ (t >>> 15), t | 1);
  t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
};
await withServer(4392, async (origin) => {
  const b = await chromium.launch(launch);
  const ctx = await b.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await ctx.newPage();
  const fresh = await ctx.newPage();
  const trace: string[] = [];
  page.on("pageerror", (e) => console.log("!! pageerror", e.message, trace.slice(-4)));
  page.on("console", (m) => {
    if (m.type() === "error") console.log("!! console", m.text().slice(0, 200), trace.slice(-4));
  });
  const api = `${origin}/api/shops/larkmoss-nursery/documents/panel/${panel}`;
  const doc = async () => await (await fetch(api)).json();
  const start = JSON.stringify((await doc()).document);
  const startPages = JSON.stringify(
    (await (await fetch(`${origin}/api/shops/larkmoss-nursery/documents/pages`)).json()).document,
  );
  await page.goto(`${origin}/shops/larkmoss-nursery/bench/${panel}`);
  await page.waitForTimeout(2500);
  const stagePage =
    panel === "climber-finder" ? "/" : panel === "three-questions" ? "/collections/gifts" : "/articles/plants-and-pets";
  const htmlOf = (f: any) =>
    f.evaluate(() =>
      [...document.querySelectorAll("form.zt-panel, .zs-slot form, aside form")]
        .map((e: any) => {
          const c = e.cloneNode(true);
          const live = e.querySelectorAll("input"),
            cp = c.querySelectorAll("input");
          live.forEach((x: any, i: number) => {
            cp[i].setAttribute("value", x.value);
            cp[i].toggleAttribute("checked", x.checked);
          });
          return c.outerHTML;
        })
        .join("\n")
        .replace(/ data-(stage|picked|seen|marked|row-on)[^ >]*/g, "")
        .replace(/><!--.*?-->/g, ">")
        .replace(/<!---->/g, "")
        .replace(/<input type="hidden" name="(stage|panel)"[^>]*>/g, "")
        .replace(
          /<([a-z]+) ([^>]*)>/g,
          (m: string, t: string, x: string) =>
            "<" +
            t +
            " " +
            x
              .match(/[^\s=]+(="[^"]*")?/g)!
              .sort()
              .join(" ") +
            ">",
        )
        .replace(/=""/g, "")
        .replace(/ selected(?=[ >])/g, "")
        .replace(/style="[^"]*"/g, (m: string) => m.replace(/\s/g, "")),
    );
  let n = 0,
    compared = 0,
    diff = 0;
  for (let i = 0; i < acts; i++) {
    try {
      const open = await page.locator("[role=dialog]:visible").count();
      if (open && r() < 0.7) {
        const all = page
          .locator("[role=dialog]:visible")
          .last()
          .locator("button:visible:enabled, select:visible:enabled, input:visible:enabled");
        const c = await all.count();
        if (!c) {
          await page.keyboard.press("Escape");
          continue;
        }
        const el = all.nth(Math.floor(r() * c));
        const info = await el.evaluate((e: any) => ({
          tag: e.tagName,
          type: e.type,
          name: (e.getAttribute("aria-label") ?? e.labels?.[0]?.textContent ?? e.textContent ?? "").trim().slice(0, 50),
        }));
        if (/Publish|another shop|file/i.test(info.name)) continue;
        trace.push("d:" + info.tag + " " + info.name);
        if (info.tag === "SELECT") {
          const o = await el
            .locator("option")
            .evaluateAll((o: any[]) => o.filter((x) => !x.disabled).map((x) => x.value));
          await el.selectOption(o[Math.floor(r() * o.length)], { timeout: 1500 });
        } else if (info.tag === "INPUT" && !["checkbox", "radio"].includes(info.type)) {
          await el.fill(info.type === "number" ? String(Math.floor(r() * 90)) : "Word " + i, { timeout: 1500 });
          await page.keyboard.press("Tab");
        } else await el.click({ timeout: 1500 });
      } else {
        if (open) await page.keyboard.press("Escape");
        const all = page
          .locator('section[aria-label="Lattice"]')
          .locator("button:visible:enabled, select:visible:enabled, input:visible:enabled");
        const c = await all.count();
        const el = all.nth(Math.floor(r() * c));
        const info = await el.evaluate((e: any) => ({
          tag: e.tagName,
          type: e.type,
          name: (e.getAttribute("aria-label") ?? e.labels?.[0]?.textContent ?? e.textContent ?? "").trim().slice(0, 50),
        }));
        if (/New panel|More for panel|panel’s file|Fold the lattice/i.test(info.name)) continue;
        trace.push(info.tag + " " + info.name);
        if (info.tag === "SELECT") {
          const o = await el
            .locator("option")
            .evaluateAll((o: any[]) => o.filter((x) => !x.disabled).map((x) => x.value));
          await el.selectOption(o[Math.floor(r() * o.length)], { timeout: 1500 });
        } else if (info.tag === "INPUT" && !["checkbox", "radio"].includes(info.type)) {
          await el.fill(info.type === "number" ? String(Math.floor(r() * 90)) : "Word " + i, { timeout: 1500 });
          await page.keyboard.press("Tab");
        } else await el.click({ timeout: 1500 });
      }
      n++;
    } catch (e: any) {
      await page.keyboard.press("Escape");
    }
    await page.waitForTimeout(120);
    if (i % 10 === 9) {
      await page.waitForTimeout(1500);
      const saved = await page.locator("header").getByRole("status").textContent();
      if (saved !== "Saved") console.log("!! status", saved, trace.slice(-5));
      for (const [title, w, h] of [
        ["Wide page", 1280, 800],
        ["Phone", 390, 844],
      ] as const) {
        const fr = page.frames().find((f) => f.name() === title || (true && f.parentFrame() && false));
        const handle = await page
          .locator(`iframe[title^="${title}"]`)
          .elementHandle()
          .catch(() => null);
        if (!handle) continue;
        const frame = await handle.contentFrame();
        if (!frame) continue;
        const width = await frame.evaluate(() => innerWidth);
        await fresh.setViewportSize({ width, height: h });
        await fresh.goto(`${origin}/draft/larkmoss-nursery${stagePage}`);
        await fresh.waitForSelector("html[data-ready]");
        await fresh.waitForTimeout(400);
        const query = await frame.evaluate(() => location.search);
        const [x, y] = [await htmlOf(frame), await htmlOf(fresh)];
        compared++;
        if (x !== y && diff++ < 2) {
          let k = 0;
          while (x[k] === y[k]) k++;
          console.log(
            `-- differs ${title} ${width} after ${trace.slice(-10).join(" | ")}\n   stage: ${x.slice(Math.max(0, k - 120), k + 160)}\n   fresh: ${y.slice(Math.max(0, k - 120), k + 160)}  [${query}]`,
          );
        }
      }
    }
  }
  await page.keyboard.press("Escape");
  await page.keyboard.press("Escape");
  let undone = 0;
  for (; undone < 300; undone++) {
    const u = page.getByRole("button", { name: /^Undo/ }).first();
    if (!(await u.isEnabled().catch(() => false))) break;
    await u.click();
    await page.waitForTimeout(30);
  }
  await page.waitForTimeout(2500);
  const end = JSON.stringify((await doc()).document);
  const endPages = JSON.stringify(
    (await (await fetch(`${origin}/api/shops/larkmoss-nursery/documents/pages`)).json()).document,
  );
  console.log(
    `seed ${seed}: ${n} acts, ${compared} compared, ${diff} differ, ${undone} undone, same panel ${end === start}, same pages ${endPages === startPages}`,
  );
  if (end !== start) {
    let k = 0;
    while (end[k] === start[k]) k++;
    console.log(start.slice(k - 80, k + 100));
    console.log(end.slice(k - 80, k + 100));
  }
  await b.close();
});
process.exit(0);

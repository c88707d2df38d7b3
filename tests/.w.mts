import { rmSync } from "node:fs";
import { chromium } from "@playwright/test";
import { launch } from "./browser.ts";
import { startServer } from "./server.ts";

const file = "/tmp/walk/w.db";
for (const s of ["", "-wal", "-shm", ".lock"]) rmSync(file + s, { force: true });
const server = await startServer(4700, file, 4701);
const browser = await chromium.launch(launch);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: "de-DE" });
page.on("pageerror", (e) => console.log("ERR", e.message));
page.on("console", (m) => m.type() === "error" && console.log("CON", m.text()));
await page.goto(server.origin);
await page.waitForTimeout(1500);
await page.screenshot({ path: "/tmp/walk/1.png" });
await page
  .getByRole("link", { name: /New shop/ })
  .or(page.getByRole("button", { name: /New shop/ }))
  .first()
  .click();
await page.waitForTimeout(800);
await page.locator("input[type=file]").first().setInputFiles("/tmp/walk/fahrradteile.csv");
await page.waitForTimeout(4000);
await page.screenshot({ path: "/tmp/walk/2.png" });
await page.screenshot({ path: "/tmp/walk/2f.png", fullPage: true });
await page
  .getByRole("button", { name: /Create shop|Create the shop/ })
  .first()
  .click();
await page.waitForURL(/shops\//);
await page.waitForTimeout(6000);
console.log(page.url());
await page.screenshot({ path: "/tmp/walk/3.png" });
await browser.close();
process.exit(0);

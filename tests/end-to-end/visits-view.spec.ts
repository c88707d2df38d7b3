import { readFileSync } from "node:fs";
import type { Visit } from "../../src/core/api/visit.ts";
import type { VisitState } from "../../src/core/api/visit-report.ts";
import { expectAccessible } from "./axe.ts";
import { demoShop, newShop, openBench, origin } from "./bench.ts";
import { expect, type Page, test } from "./test.ts";

const line = (changes: Partial<Visit>): string =>
  `${JSON.stringify({ format: 1, at: "2026-11-30T09:15:00Z", tab: "a", page: "/", band: "wide", act: "see", ...changes })}\n`;
const stateOf = async (page: Page, shop: string): Promise<VisitState> =>
  (await page.request.get(`/api/shops/${shop}/visits`)).json();

test("the demo's made-up visits are reported page by page, and marked as made up wherever they show", async ({
  page,
}) => {
  await page.goto(`/shops/${demoShop}/rehearsal`);
  await page.getByRole("link", { name: "Visits" }).click();
  await expect(page.getByText("Made up: trial shoppers made them for the demo.")).toBeVisible();
  const lines = readFileSync("demo/visits.jsonl", "utf8").trim().split("\n");
  await expect(page.getByText(`${lines.length} lines of visits.jsonl, of edition 1.`)).toBeVisible();
  // Counted again from the file: tabs that chose in the field, of all tabs of the page.
  const own = lines.map((text): Visit => JSON.parse(text)).filter((one) => one.page === "/" && one.band === "wide");
  const all = new Set(own.map(({ tab }) => tab)).size;
  const used = new Set(own.filter((one) => one.act === "choose" && one.field === "light").map(({ tab }) => tab)).size;
  const row = page.getByRole("row", { name: /^Light/ });
  await expect(row).toContainText(`${Math.round((used / all) * 100)}%`);
  await expect(row).toContainText("3 of 7");
  await expect(row).toContainText("Half shade");
  await expect(page.getByRole("row", { name: /^rosebush/ })).toBeVisible();
  await expectAccessible(page);

  await page.getByRole("button", { name: "Use in trial runs" }).click();
  await expect(page.getByRole("row", { name: /^Category/ })).toContainText(/7\d%$/);
  await openBench(page);
  await expect(page.getByText(/% of made-up visits$/)).toHaveCount(7);
  await page.getByRole("button", { name: /findings?$/ }).click();
  await expect(page.getByText(/^Pet safe was used in \d+ of 370 made-up visits/)).toBeVisible();
});

test("visits are collected only where that is turned on, read back, and erased", async ({ page, request }) => {
  const shop = await newShop(request, "Visited");
  const send = (body: string, of = shop) =>
    request.post(`/visits/${of}`, {
      data: body,
      headers: { "content-type": "text/plain;charset=UTF-8", origin: "https://a-site.example" },
    });
  expect((await send(line({}))).status()).toBe(403);
  expect((await send(line({}), "no-such-shop")).status()).toBe(404);
  await page.goto(`/shops/${shop}/rehearsal/visits`);
  await expect(page.getByText(/^No visits yet\./)).toBeVisible();
  await page.getByLabel("Collect visits on this server").selectOption("30");
  await expect(page.getByRole("region", { name: "On a panel of your pages" })).toContainText(`/visits/${shop}`);

  const choice = line({ act: "choose", field: "light", chosen: ["<img src=x onerror=alert(1)>"], before: 9, after: 3 });
  expect((await send(line({}) + choice)).status()).toBe(204);
  expect((await send('{"format":1,"at":"20')).status()).toBe(204);
  expect((await send("x".repeat(70_000))).status()).toBe(413);
  await page.reload();
  await expect(page.getByText("2 lines collected on this server.")).toBeVisible();
  await expect(page.getByText("1 line is left out: not JSON. The first is line 3.")).toBeVisible();
  await expect(page.getByRole("row", { name: /^Light/ })).toContainText("<img src=x onerror=alert(1)> 1");

  // A file is read in the browser; both can be looked at.
  await page.getByLabel("Import a file of visits").setInputFiles({
    name: "mine.csv",
    mimeType: "text/csv",
    buffer: Buffer.from(
      "format,at,tab,page,band,act,field,chosen\n1,2026-11-30T09:15:00Z,a,/,wide,see,,\n1,2026-11-30T09:15:09Z,a,/,wide,choose,light,shade|full sun\n",
    ),
  });
  await expect(page.getByText("2 lines of mine.csv.")).toBeVisible();
  await page.getByLabel("Import a file of visits").setInputFiles({
    name: "other.txt",
    mimeType: "text/plain",
    buffer: Buffer.from("nothing of the kind\n"),
  });
  await expect(page.getByText(/^No line of other\.txt is a visit/)).toBeVisible();
  expect((await stateOf(page, shop)).file?.name).toBe("mine.csv");
  // Two editions with a planted difference in what is chosen, and none in what is opened.
  const tabs = Array.from({ length: 1200 }, (_, n) => {
    const [edition, tab] = [1 + (n % 2), `t${n}`];
    const chooses = Math.floor(n / 2) % 10 < (edition === 1 ? 2 : 4);
    const opens = Math.floor(n / 2) % 10 < 3;
    return [
      line({ edition, tab }),
      ...(chooses ? [line({ edition, tab, act: "choose", field: "light", chosen: ["shade"] })] : []),
      ...(opens ? [line({ edition, tab, act: "open", text: "LM001" })] : []),
    ].join("");
  });
  await page.getByLabel("Import a file of visits").setInputFiles({
    name: "two.jsonl",
    mimeType: "application/x-ndjson",
    buffer: Buffer.from(tabs.join("")),
  });
  const compared = page.getByRole("region", { name: "Editions compared" });
  await expect(compared.getByRole("row", { name: /^Chose something/ })).toContainText(
    /20% of 600\s*40% of 600\s*\+20\.0 \(\+\d/,
  );
  await expect(compared.getByRole("row", { name: /^Opened a product/ })).toContainText(/: no difference so far$/);
  await expectAccessible(page);
  await page.getByLabel("Show").selectOption("collected");
  await expect(page.getByText("2 lines collected on this server.")).toBeVisible();

  await page.getByRole("button", { name: "Erase…" }).click();
  await page.getByRole("button", { name: "Erase for good" }).click();
  await expect(page.getByText(/lines since/)).toHaveCount(0);
  const left = await stateOf(page, shop);
  expect([left.collected, left.source]).toEqual([undefined, "file"]);
  // A report that isn't one is refused, and what there was stays.
  const refused = await request.put(`/api/shops/${shop}/visits/file`, {
    data: { name: "bad", report: { lines: -1, left: [], editions: [], pages: [] } },
    headers: origin,
  });
  expect(refused.status()).toBe(400);
  expect((await stateOf(page, shop)).file?.name).toBe("two.jsonl");
});

test("the sample site sends what shoppers do there to the server, once it collects", async ({ page, request }) => {
  const preview = await (await request.get(`/api/shops/${demoShop}/handoff?of=1`)).json();
  const site = new URL(preview.seen).origin;
  const collect = (days: number) => request.put(`/api/shops/${demoShop}/visits`, { data: { days }, headers: origin });
  await page.goto(`${site}/plants.html`);
  await expect(page.locator("trellis-panel[visits]")).toHaveCount(0);
  await collect(7);
  try {
    await page.goto(`${site}/plants.html`);
    await expect(page.locator("trellis-panel[visits]").first()).toBeAttached();
    await page
      .getByRole("checkbox", { name: /^Half shade/ })
      .first()
      .check();
    await page.goto("about:blank");
    await expect.poll(async () => (await stateOf(page, demoShop)).collected?.lines ?? 0).toBeGreaterThanOrEqual(2);
    const { report } = await (await request.get(`/api/shops/${demoShop}/visits?of=collected`)).json();
    expect(report.pages[0].fields[0]).toMatchObject({ field: "light", used: { hits: 1, of: 1 } });
  } finally {
    await collect(0);
    await request.delete(`/api/shops/${demoShop}/visits?of=collected`, { headers: origin });
  }
});

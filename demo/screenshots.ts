/** Makes the pictures in docs/screenshots anew from the demo shop: `npm run screenshots`. */
import { readFileSync } from "node:fs";
import { type Browser, chromium, type Page } from "@playwright/test";
import { shippedLooks } from "../src/core/look/looks/looks.ts";
import { launch, withServer } from "../tests/browser.ts";

const folder = "docs/screenshots";

await withServer(4397, async (origin) => {
  const browser = await chromium.launch(launch);
  try {
    await studio(browser, origin);
    await storefront(browser, origin);
    await foreignSite(browser, "http://127.0.0.1:4398/");
    await looks(browser, origin);
  } finally {
    await browser.close();
  }
});

async function studio(browser: Browser, origin: string): Promise<void> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  // Nobody is here for the first time.
  await page.addInitScript(() => localStorage.setItem("trellis-hints-seen", "cell page publish"));
  await page.goto(`${origin}/shops/larkmoss-nursery`);
  await page.getByText("Edition 1 was published").waitFor();
  await settled(page);
  await page.screenshot({ path: `${folder}/overview.png` });
  await page.goto(`${origin}/shops/larkmoss-nursery/panels`);
  const phone = page.frameLocator('iframe[title^="Phone"]');
  await phone.locator("html[data-ready]").waitFor({ state: "attached" });
  await page.getByRole("button", { name: "Open drawer" }).click();
  await phone.locator('.zt-tiles input[value="half shade"]').check();
  await page.getByRole("button", { name: "Settings of Light" }).click();
  await settled(page);
  await page.screenshot({ path: `${folder}/bench.png` });
  await page.getByRole("button", { name: "Settings of Light" }).click();
  await page.getByRole("button", { name: /^Flower colour on wide/ }).click();
  await settled(page);
  await page.screenshot({ path: `${folder}/bench-displays.png` });
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: /findings?$/ }).click();
  await settled(page);
  await page.screenshot({ path: `${folder}/findings.png` });
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Arrange", exact: true }).click();
  const wide = page.frameLocator('iframe[title^="Wide page"]');
  await wide.locator('[data-row="f-light"] .zt-box').first().click({ force: true });
  await settled(page);
  await page.screenshot({ path: `${folder}/styling.png` });

  const api = `${origin}/api/shops/larkmoss-nursery/documents/panel/climber-finder`;
  const { version, document } = await (await page.request.get(api)).json();
  // Something to publish: one facet less, and another name.
  const rows = document.rows
    .filter(({ id }: { id: string }) => id !== "f-mature-height")
    .map((row: { id: string }) => (row.id === "f-light" ? { ...row, label: "Sun or shade" } : row));
  await page.request.put(api, { data: { version, document: { ...document, rows } }, headers: { origin } });
  await page.goto(`${origin}/shops/larkmoss-nursery/editions`);
  await page.frameLocator('iframe[title="Draft"]').locator("html[data-ready]").waitFor({ state: "attached" });
  await settled(page);
  await page.screenshot({ path: `${folder}/editions.png` });
  await page.goto(`${origin}/shops/larkmoss-nursery/rehearsal`);
  for (const name of ["Wide page", "Phone"])
    await page
      .getByRole("region", { name, exact: true })
      .getByText(/^2,000 shoppers, 240 products/)
      .waitFor();
  await settled(page);
  await page.screenshot({ path: `${folder}/rehearsal.png` });
  await page.getByRole("link", { name: "Visits" }).click();
  await page.getByText("Searched in vain").waitFor();
  await settled(page);
  await page.screenshot({ path: `${folder}/visits.png` });
  await page.request.put(api, { data: { version: version + 1, document }, headers: { origin } });

  await page.goto(`${origin}/shops/larkmoss-nursery/look`);
  await page.locator('[data-specimen="tiles chosen"]').click();
  await settled(page);
  await page.screenshot({ path: `${folder}/look.png` });

  await page.goto(`${origin}/shops/larkmoss-nursery/pages`);
  await page.getByRole("button", { name: "Facets on Gifts" }).click();
  await page.getByRole("button", { name: "Layout of Gifts" }).click();
  await settled(page);
  await page.screenshot({ path: `${folder}/pages.png` });

  await page.goto(`${origin}/shops/larkmoss-nursery/swatches/flower-colour`);
  await page.getByRole("button", { name: "Read pictures" }).click();
  await page.getByText(/^Colours for/).waitFor({ timeout: 60_000 });
  await page.getByText(/^Colours for/).waitFor({ state: "hidden" });
  await settled(page);
  await page.screenshot({ path: `${folder}/swatches.png` });

  await page.goto(`${origin}/shops/larkmoss-nursery/catalogue/products`);
  const narrow = page.getByRole("navigation", { name: "Narrow down" });
  await narrow.getByRole("button", { name: "Light", exact: true }).click();
  await narrow.getByRole("checkbox", { name: /^Half shade/ }).check();
  await settled(page);
  await page.screenshot({ path: `${folder}/products.png` });

  await page.goto(`${origin}/shops/larkmoss-nursery/catalogue`);
  await page.getByRole("button", { name: "Flower colour", exact: true }).click();
  await page.getByRole("row", { name: /^Price/ }).evaluate((row) => row.scrollIntoView());
  await settled(page);
  await page.screenshot({ path: `${folder}/catalogue.png` });

  // The same catalogue without one product and with a colour renamed.
  const newer = readFileSync("demo/nursery.csv", "utf8")
    .replace(/^LM240,.*\n/m, "")
    .replaceAll(",Ember,", ",Emberglow,");
  await page.getByRole("link", { name: "Import a newer file" }).click();
  await page
    .getByLabel("Catalogue file")
    .setInputFiles({ name: "nursery-spring.csv", mimeType: "text/csv", buffer: Buffer.from(newer) });
  await page.getByRole("button", { name: "Show what changes" }).click();
  await page.getByText("Effects on panels and pages").waitFor();
  await settled(page);
  await page.screenshot({ path: `${folder}/import.png` });

  await page.goto(`${origin}/new`);
  // A made-up fault, so that the picture shows how faults are told.
  const csv = readFileSync("demo/nursery.csv", "utf8").replace(",11.25,", ",11 euro,");
  await page
    .getByLabel("Catalogue file")
    .setInputFiles({ name: "nursery.csv", mimeType: "text/csv", buffer: Buffer.from(csv) });
  await page.getByText("240 products, 799 variants").waitFor();
  await page.getByText("Why these").click();
  await settled(page);
  await page.screenshot({ path: `${folder}/new-shop.png` });
  await page.close();
}

async function storefront(browser: Browser, origin: string): Promise<void> {
  const wide = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await wide.goto(`${origin}/shop/larkmoss-nursery/?light=half+shade&flower-colour=apricot&flower-colour=violet`);
  await settled(wide);
  await wide.screenshot({ path: `${folder}/storefront.png` });
  await wide.close();
  const phone = await browser.newPage({ viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true });
  await phone.goto(`${origin}/shop/larkmoss-nursery/?light=half+shade`);
  await phone.locator("html[data-ready]").waitFor({ state: "attached" });
  await phone.getByRole("button", { name: /^Filters/ }).click();
  await settled(phone);
  const drawer = (await phone.screenshot()).toString("base64");
  const noted = await preview(phone, origin);
  await phone.close();
  await sideBySide(browser, [drawer, noted], `${folder}/storefront-phone.png`);
}

/** A shared preview with two notes, as a picture. */
async function preview(phone: Page, origin: string): Promise<string> {
  const path = `${origin}/api/shops/larkmoss-nursery/previews`;
  const { key, address } = await (await phone.request.post(path, { data: {}, headers: { origin } })).json();
  const notes = [
    { text: "Could this one stand first?", place: { words: "Button Lace clematis", product: "/products/LM002" } },
    { text: "We call this Half sun.", place: { words: "Light: Half shade", panel: "climber-finder", row: "f-light" } },
  ];
  for (const { text, place } of notes) {
    const data = { name: "Ines", text, place: { page: "/", x: 0, y: 0, ...place } };
    await phone.request.post(`${origin}/preview-notes/${key}`, { data, headers: { origin } });
  }
  await phone.goto(origin + address);
  await phone.locator("html[data-ready]").waitFor({ state: "attached" });
  await phone.getByRole("button", { name: "2 notes" }).click();
  await settled(phone);
  return (await phone.screenshot()).toString("base64");
}

/** The same panel in three looks beside each other. */
async function looks(browser: Browser, origin: string): Promise<void> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const api = `${origin}/api/shops/larkmoss-nursery/documents`;
  const headers = { origin };
  const panels: string[] = [];
  for (const name of ["Linen", "Signal", "Confetti"]) {
    const look = shippedLooks.find((one) => one.look.name === name)?.look;
    const { slug } = await (await page.request.post(`${api}/look`, { data: { document: look }, headers })).json();
    const shop = await (await page.request.get(`${api}/shop`)).json();
    const document = { ...shop.document, look: slug };
    await page.request.put(`${api}/shop`, { data: { version: shop.version, document }, headers });
    await page.request.post(`${origin}/api/shops/larkmoss-nursery/editions`, { data: { note: name }, headers });
    await page.goto(`${origin}/shop/larkmoss-nursery/?light=half+shade&flower-colour=apricot`);
    await settled(page);
    const clip = { x: 0, y: 0, width: 420, height: 800 };
    panels.push((await page.screenshot({ clip })).toString("base64"));
  }
  await page.close();
  await sideBySide(browser, panels, `${folder}/three-looks.png`);
}

/** A foreign site with the handoff on it: cards of ours, and a list of its own. @param site its address */
async function foreignSite(browser: Browser, site: string): Promise<void> {
  const page = await browser.newPage({ viewport: { width: 1000, height: 800 } });
  const shots: string[] = [];
  for (const path of ["plants.html?light=half+shade", "stock.html?category=plants+%3E+climbers&sort=price"]) {
    await page.goto(site + path);
    // Asleep it has a form for each group of bands.
    await page.waitForFunction(() => document.querySelectorAll("trellis-panel form").length === 1);
    await settled(page);
    shots.push((await page.screenshot()).toString("base64"));
  }
  await page.close();
  await sideBySide(browser, shots, `${folder}/site.png`);
}

/** Puts pictures beside each other, each 650 px high. A page of its own: the policy of the one they show would hold as well. */
async function sideBySide(browser: Browser, shots: readonly string[], path: string): Promise<void> {
  const page = await browser.newPage({ viewport: { width: 2200, height: 650 } });
  await page.setContent(
    `<body style="margin:0;display:inline-flex;gap:10px">${shots.map((png) => `<img style="height:650px" src="data:image/png;base64,${png}">`).join("")}`,
  );
  await page.locator("body").screenshot({ path });
  await page.close();
}

async function settled(page: Page): Promise<void> {
  // A request that a change of view broke off can keep a page from ever being called idle.
  await page.waitForLoadState("networkidle", { timeout: 5000 }).catch(() => {});
  await page.waitForTimeout(500);
}

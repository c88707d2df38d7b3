import { newFacet } from "../../src/core/panel/panel.ts";
import { HandoffSite } from "../handoff-site.ts";
import { serveFiles, strictPolicy } from "../static-server.ts";
import { newShop, origin } from "./bench.ts";
import { openForeign, ready } from "./foreign-site.ts";
import { expect, type Page, test } from "./test.ts";

const line = '<link rel="stylesheet" href="/trellis/trellis-space.css">\n<script src="/trellis/trellis.js"></script>\n';
const titles = (page: Page) => page.locator("trellis-panel .zt-title").allTextContents();

test("a page’s language decides in which of the shop’s languages a handoff speaks", async ({ page, request }) => {
  const shop = await newShop(request, "In three languages");
  // Set where one looks for it, and undone there.
  await page.goto(`/shops/${shop}`);
  await page.getByText("Languages: en").click();
  await page.getByLabel("Further languages").fill("de ar");
  await page.getByLabel("Further languages").press("Enter");
  await expect(page.getByText("Languages: en, de, ar")).toBeVisible();
  await page.getByLabel("Shop language").fill("german");
  await page.getByLabel("Shop language").press("Enter");
  await expect(page.getByText(/^“german” is not a language tag/)).toBeVisible();
  await page.getByLabel("Shop language").press("Escape");
  await expect(page.getByText("Saved", { exact: true })).toBeVisible();
  await page.reload();
  await page.getByText("Languages: en, de, ar").click();
  await expect(page.getByLabel("Further languages")).toHaveValue("de ar");

  const documents = `/api/shops/${shop}/documents/panel`;
  const [{ slug }] = await (await request.get(documents)).json();
  const panel = await (await request.get(`${documents}/${slug}`)).json();
  const light = { ...newFacet("f-l", "light", "check-boxes", "any"), label: "Light", labels: { de: "Licht" } };
  const rows = [light, ...panel.document.rows];
  const saved = await request.put(`${documents}/${slug}`, {
    data: { version: panel.version, document: { ...panel.document, rows } },
    headers: origin,
  });
  expect(saved.status(), await saved.text()).toBe(200);

  const site = await HandoffSite.fetched(origin.origin, shop);
  site.handOver("trellis", "--at", "/trellis/", "--page", "/");
  site.put("site.css", "");
  site.put("icon.svg", '<svg xmlns="http://www.w3.org/2000/svg"/>');
  const named = `<trellis-panel name="${slug}"></trellis-panel><trellis-listing></trellis-listing>`;
  site.page("en.html", line, named);
  site.page("de.html", line, `<div lang="de-AT">${named}</div>`);
  site.page("ar.html", line, `<div lang="fr">${named.replaceAll("></t", ' language="ar"></t')}</div>`);
  site.page("fr.html", line, `<div lang="fr">${named}</div>`);
  site.page("markup.html", site.piece("trellis/head.html"), site.piece(`trellis/pages/index/${slug}.de.html`));
  const server = await serveFiles({ "/demo/": "demo", "/": site.root }, { headers: strictPolicy });
  try {
    const heard: Record<string, { price: boolean; found: string | null; light: boolean }> = {};
    for (const name of ["en", "de", "ar", "fr"]) {
      const { complaints } = await openForeign(page, `${server.origin}/${name}.html`);
      await ready(page);
      const all = (await titles(page)).join(" ");
      const price = { en: "Price", de: "Preis", ar: "السعر", fr: "Price" }[name] ?? "";
      heard[name] = {
        price: all.includes(price),
        found: await page.locator("[data-trellis-count]").textContent(),
        light: all.includes(name === "de" ? "Licht" : "Light"),
      };
      expect(complaints).toEqual([]);
    }
    expect(heard).toMatchObject({
      en: { price: true, light: true, found: "240 products" },
      de: { price: true, light: true, found: "240 Produkte" },
      ar: { price: true, light: true },
      // The shop has no French, so it speaks its own language.
      fr: { price: true, light: true, found: "240 products" },
    });
    await openForeign(page, `${server.origin}/markup.html`);
    await ready(page);
    expect((await titles(page)).join(" ")).toContain("Preis");
    await page.getByRole("checkbox").first().check();
    expect((await titles(page)).join(" ")).toContain("Preis");
  } finally {
    server.close();
  }
});

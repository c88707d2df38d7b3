import { expectAccessible } from "./axe.ts";
import { newShop, origin } from "./bench.ts";
import { awake } from "./shop-page.ts";
import { expect, type Page, test } from "./test.ts";

/** Pins a note to what is clicked by a locator. */
async function pin(page: Page, at: string, name: string, text: string): Promise<void> {
  await page.getByRole("button", { name: "Add a note" }).click();
  await expect(page.getByText("Click what your note is about")).toBeVisible();
  await page.locator(at).first().click();
  const form = page.getByRole("form", { name: "New note" });
  await form.getByLabel("Your name").fill(name);
  await form.getByLabel("Note", { exact: true }).fill(text);
  await form.getByRole("button", { name: "Send note" }).click();
  await expect(page.getByRole("region", { name: "Notes" }).getByText(text)).toBeVisible();
}

const share = async (page: Page, shop: string): Promise<string> => {
  const response = await page.request.post(`/api/shops/${shop}/previews`, { data: {}, headers: origin });
  expect(response.status()).toBe(201);
  return (await response.json()).address;
};

test("a preview is shared, gets notes on a phone, and they are answered at their rows and told with the edition", async ({
  page,
  browser,
}) => {
  const shop = await newShop(page.request, "Shown to a client");
  await page.goto(`/shops/${shop}/editions`);
  await page.getByRole("button", { name: "Share a preview" }).click();
  const list = page.getByRole("region", { name: "Previews" });
  await expect(list.getByText("No notes yet.")).toBeVisible();
  await expectAccessible(page);
  const address = await list.locator("code", { hasText: "/preview/" }).textContent();

  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
  const client = await phone.newPage();
  await client.goto(address ?? "");
  await awake(client);
  await expect(client.getByText(/^Preview of /)).toBeVisible();
  // Nothing on it leads into the tool.
  const links = await client.locator("a").evaluateAll((all) => all.map((one) => (one as HTMLAnchorElement).pathname));
  expect(links.filter((path) => !path.startsWith("/preview/"))).toEqual([]);
  // While a place is picked, the page does nothing else.
  const before = client.url();
  await pin(client, ".zs-card", "Ines", "Is this one still sold?");
  expect(client.url()).toBe(before);
  await client.getByRole("button", { name: "Close the notes" }).click();
  await client.getByRole("button", { name: "Filters" }).click();
  await pin(client, "dialog [data-row] label", "Ines", "<b>Larger</b>, please");
  await expectAccessible(client);
  // The drawer is still open, and its note is pinned in it.
  await client.keyboard.press("Escape");
  await expect(client.locator("dialog[open]")).toHaveCount(1);
  await expect(client.getByRole("button", { name: /^Note 2 by Ines/ })).toBeVisible();
  await phone.close();

  await page.goto(`/shops/${shop}`);
  await page.getByRole("link", { name: "Answer 2 notes on previews" }).click();
  await expect(list.getByText("<b>Larger</b>, please")).toBeVisible();
  await page.goto(`/shops/${shop}/panels/first-panel`);
  await page.getByRole("button", { name: "1 note on pages and products" }).click();
  await expect(page.getByRole("dialog").getByText("Is this one still sold?")).toBeVisible();
  await page.keyboard.press("Escape");
  const mark = page.getByRole("button", { name: /^1 note on / }).nth(1);
  await mark.click();
  const card = page.getByRole("article", { name: /by Ines/ });
  await card.getByRole("button", { name: "Answer" }).click();
  await card.getByLabel("Answer, shown on the preview").fill("They are 44 px now");
  await card.getByRole("button", { name: "Save answer" }).click();
  await expect(card.getByText("They are 44 px now")).toBeVisible();
  await card.getByRole("button", { name: "Mark as done" }).click();
  await expect(mark).toHaveCount(0);

  await page.goto(`/shops/${shop}/editions?show=previews`);
  await page.getByRole("button", { name: "Add the note that is done" }).click();
  await expect(page.getByPlaceholder("What this edition is about")).toHaveValue(/: They are 44 px now \(Ines\)$/);
  await page.getByRole("button", { name: "Publish edition 1" }).click();
  await expect(page.getByRole("list", { name: "Published editions" })).toContainText("They are 44 px now (Ines)");
  await expect(page.getByRole("button", { name: "Add the note that is done" })).toHaveCount(0);
});

test("a preview is of the draft as it was, is shared once as long as nothing changes, and can be ended", async ({
  page,
}) => {
  const shop = await newShop(page.request, "Shared once");
  const address = await share(page, shop);
  expect(await share(page, shop)).toBe(address);
  await page.goto(address);
  await awake(page);
  const titles = await page.locator(".zt-panel .zt-title").allTextContents();
  expect(titles.length).toBeGreaterThan(1);

  const path = `/api/shops/${shop}/documents/panel/first-panel`;
  const { version, document } = await (await page.request.get(path)).json();
  const data = { version, document: { ...document, rows: document.rows.slice(1) } };
  expect((await page.request.put(path, { data, headers: origin })).status()).toBe(200);
  expect(await share(page, shop)).not.toBe(address);
  await page.reload();
  await awake(page);
  expect(await page.locator(".zt-panel .zt-title").allTextContents()).toEqual(titles);
  // Choices are answered from the preview, and its address keeps them.
  await page.locator(".zt-panel input[type=checkbox]").first().check();
  await expect(page).toHaveURL(new RegExp(`${address}\\?`));

  await page.goto(`/shops/${shop}/editions?show=previews`);
  const old = page.getByRole("list", { name: "Shared previews" }).getByRole("listitem").last();
  await old.getByRole("button", { name: "End preview" }).click();
  await expect(old.getByRole("button", { name: "Open it again" })).toBeVisible();
  expect((await page.request.get(address)).status()).toBe(410);
  expect(await (await page.goto(address))?.text()).toContain("This preview has ended");
  const notes = address.replace("/preview/", "/preview-notes/").slice(0, -1);
  expect((await page.request.get(notes)).status()).toBe(410);
  await page.goto(`/shops/${shop}/editions?show=previews`);
  await old.getByRole("button", { name: "Open it again" }).click();
  await expect(old.getByRole("button", { name: "End preview" })).toBeVisible();
  expect((await page.request.get(address)).status()).toBe(200);
});

test("a note is pinned by keys alone", async ({ page }) => {
  const shop = await newShop(page.request, "By keys");
  await page.goto(await share(page, shop));
  await awake(page);
  await page.getByRole("button", { name: "Add a note" }).focus();
  await page.keyboard.press("Enter");
  await expect(page.getByText("Click what your note is about")).toBeVisible();
  const option = page.locator("[data-row] input[type=checkbox]").first();
  await option.focus();
  await page.keyboard.press("Enter");
  await expect(page.getByLabel("Your name")).toBeFocused();
  await page.keyboard.type("Bo");
  await page.keyboard.press("Tab");
  await page.keyboard.type("Why is this first?");
  await page.keyboard.press("Tab");
  await page.keyboard.press("Tab");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: /^Note 1 by Bo: / })).toBeVisible();
  await expect(option).not.toBeChecked();
  // Picking ends with Escape.
  await page.getByRole("button", { name: "Add a note" }).press("Enter");
  await expect(page.getByText("Click what your note is about")).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("button", { name: "Add a note" })).toBeVisible();
});

import { demoShop, openBench } from "./bench.ts";
import { expect, type Page, test } from "./test.ts";

const same = /^Counted again from the rows of the catalogue: [\d,]+ (products|options), the same\.$/;

/** Opens a number, sees that the rows say the same, and closes it again. @returns what was told on the button */
async function opens(page: Page, name: RegExp | string, title: RegExp | string): Promise<void> {
  await page.getByRole("button", { name }).first().click();
  const sheet = page.getByRole("dialog", { name: title });
  await expect(sheet.getByRole("status")).toHaveText(same);
  await sheet.getByRole("button", { name: "Close" }).click();
  await expect(sheet).toBeHidden();
}

test("numbers of the bench open, and the rows say the same", async ({ page }) => {
  const { wide } = await openBench(page);
  const evidence = page.getByRole("status", { name: "Numbers of the page" });
  await wide.getByRole("checkbox", { name: /^Sky blue/ }).check();
  await expect(evidence).not.toContainText("240 of 240 found");
  await evidence.getByRole("button").first().click();
  const sheet = page.getByRole("dialog", { name: "Products found" });
  await expect(sheet.getByRole("status")).toHaveText(same);
  const told = Number(/: (\d+) /.exec((await sheet.getByRole("status").textContent()) ?? "")?.[1]);
  expect(told).toBeGreaterThan(5);
  // The list can be searched, and leads to a product's page and to its row.
  const title = (await sheet.getByRole("link").first().textContent()) ?? "";
  await sheet.getByRole("searchbox").fill(title);
  await expect(sheet.getByRole("link", { name: title, exact: true }).first()).toHaveAttribute(
    "href",
    new RegExp(`^/draft/${demoShop}/products/`),
  );
  await page.context().grantPermissions(["clipboard-read", "clipboard-write"]);
  await sheet.getByRole("button", { name: /^Copy \d+/ }).click();
  await expect(sheet.getByRole("button", { name: "Copied" })).toBeVisible();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toContain(title);
  await sheet
    .getByRole("link", { name: `${title} in the table of products` })
    .first()
    .click();
  await expect(page.getByRole("status").filter({ hasText: "variants" })).toHaveText(/^\d of \d+ variants$/);
  await page.getByRole("button", { name: "Show all products" }).click();
  await expect(page.getByRole("status").filter({ hasText: "variants" })).not.toHaveText(/^\d of/);
});

test("reach and options that find nothing open too", async ({ page }) => {
  const { wide } = await openBench(page);
  await wide.getByRole("checkbox", { name: /^Sky blue/ }).check();
  for (const [nth, title] of [
    [0, /^Reach of /],
    [1, /^Options of .* without products$/],
  ] as const) {
    await page.getByRole("button", { name: /^lowest reach/ }).click();
    const table = page.getByRole("dialog", { name: "Each facet’s reach and options" });
    await table
      .getByRole("row", { name: /^Light/ })
      .getByRole("button")
      .nth(nth)
      .click();
    const sheet = page.getByRole("dialog", { name: title });
    await expect(sheet.getByRole("status")).toHaveText(same);
    await page.keyboard.press("Escape");
    await expect(sheet).toBeHidden();
  }
});

test("numbers of the catalogue and of the pages open", async ({ page }) => {
  await page.goto(`/shops/${demoShop}/catalogue?field=hardiness`);
  const row = page.getByRole("row", { name: /^Hardiness/ });
  await opens(page, (await row.getByRole("button").nth(1).textContent()) ?? "", "Reach of Hardiness");
  await page.getByRole("region", { name: "Products without a value for Hardiness" }).getByRole("button").click();
  await expect(page.getByRole("dialog", { name: "No Hardiness" }).getByRole("status")).toHaveText(same);
  await page.keyboard.press("Escape");
  await page.goto(`/shops/${demoShop}/pages`);
  const gifts = page.getByRole("row").filter({ has: page.getByRole("link", { name: "Gifts", exact: true }) });
  await gifts.getByRole("button", { name: /^\d+$/ }).first().click();
  await expect(page.getByRole("dialog", { name: "Products on Gifts" }).getByRole("status")).toHaveText(same);
});

test("colour differences and contrasts open, and the formulas say the same", async ({ page }) => {
  await page.goto(`/shops/${demoShop}/swatches/flower-colour`);
  const measured = page.getByRole("complementary", { name: "Measured" });
  await measured.getByRole("spinbutton").fill("20");
  await measured.getByRole("spinbutton").press("Enter");
  await measured.getByRole("list", { name: "Pairs too close" }).getByRole("button").first().click();
  const sheet = page.getByRole("dialog", { name: / and / });
  await expect(sheet.getByRole("status")).toHaveText(
    /^Worked out again by the formula of Sharma.*: [\d.]+, the same\.$/,
  );
  await page.keyboard.press("Escape");
  await measured.getByRole("button", { name: /:1$/ }).first().click();
  await expect(page.getByRole("dialog", { name: /^Contrast of / }).getByRole("status")).toHaveText(
    /^Worked out again by the formula of WCAG 2\.2: \d\.\d, the same\.$/,
  );
});

test("a number that the rows contradict is told loudly", async ({ page }) => {
  // The worker's answers say one product more than there is.
  await page.addInitScript(() => {
    const listen = Worker.prototype.addEventListener;
    Worker.prototype.addEventListener = function (this: Worker, type: string, heard: EventListener, how?: boolean) {
      const lying = (event: Event) => {
        const { data } = event as MessageEvent;
        const said = data?.value?.value ?? data?.value;
        if (said && typeof said.total === "number") said.total++;
        heard.call(this, event);
      };
      listen.call(this, type, type === "message" ? lying : heard, how);
    } as Worker["addEventListener"];
  });
  await openBench(page);
  const evidence = page.getByRole("status", { name: "Numbers of the page" });
  await expect(evidence).toContainText("241 of 240 found");
  await evidence.getByRole("button").first().click();
  await expect(page.getByRole("dialog", { name: "Products found" }).getByRole("alert")).toContainText(
    "This number is wrong. The tool says 241, the rows of the catalogue give 240.",
  );
});

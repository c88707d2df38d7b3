import { expectAccessible } from "./axe.ts";
import { demoShop, newShop, openBench, origin } from "./bench.ts";
import { expect, test } from "./test.ts";

test("a field gets another name, level and unit as a mend, which holds on the bench and is taken back", async ({
  page,
}) => {
  const shop = await newShop(page.request, "Described anew");
  await page.goto(`/shops/${shop}/catalogue?field=mature-height`);
  const reading = page.getByRole("region", { name: "How Mature height is read" });
  await reading.getByRole("textbox", { name: "Unit of Mature height" }).fill("cm");
  await reading.getByRole("textbox", { name: "Unit of Mature height" }).press("Enter");
  await expect(page.getByRole("region", { name: "What to know about Mature height" })).toContainText("240 cm");
  await reading.getByRole("textbox", { name: "Name of Mature height" }).fill("Height at ten years");
  await reading.getByRole("textbox", { name: "Name of Mature height" }).press("Enter");
  const renamed = page.getByRole("region", { name: "How Height at ten years is read" });
  await expect(renamed).toBeVisible();
  await expectAccessible(page);
  await expect(page.locator("header").getByRole("status")).toHaveText("Saved");
  // With its unit the field leaves the tool, and both stand on the shop's page.
  const csv = await (await page.request.get(`/api/shops/${shop}/catalogue.csv`)).text();
  expect(csv).toContain("Height at ten years");
  expect(csv).toMatch(/,\d+ cm,/);
  await page.goto(`/shops/${shop}/catalogue/mends`);
  await expect(page.getByRole("list", { name: "Corrections" })).toContainText(
    "Mature height: called “Height at ten years”, in cm".replace("Mature height", "Height at ten years"),
  );
  await page.goto(`/shops/${shop}/catalogue?field=mature-height`);
  await renamed.getByRole("button", { name: "Reset to the file" }).click();
  await expect(reading).toBeVisible();
});

test("a cell takes what its field can hold, and says why it does not", async ({ page }) => {
  const shop = await newShop(page.request, "Held cells");
  await page.goto(`/shops/${shop}/catalogue/products`);
  const cell = page.getByRole("button", { name: /^Price: 12\.25\. Edit/ }).first();
  await cell.press("Enter");
  const input = page.getByRole("textbox", { name: /^Price of LM001/ });
  await input.fill("cheap");
  await input.press("Enter");
  await expect(page.getByRole("alert")).toHaveText("“cheap” is not a number. Price contains numbers, such as 12.50.");
  await expect(input).toHaveValue("cheap");
  await expectAccessible(page);
  await input.fill("13,75");
  await input.press("Enter");
  await expect(page.getByRole("button", { name: /^Price: 13\.75\. Edit/ })).toBeVisible();
});

test("the bench is found as it was left, and any setting by its words", async ({ page }) => {
  const shop = await newShop(page.request, "Left and found");
  const bench = await openBench(page, true, shop);
  await bench.addFacet("Light");
  await page.getByRole("button", { name: "Settings of Light" }).click();
  await page.getByRole("button", { name: "Phone", exact: true }).click();
  await bench.saved();
  await page.goto(`/shops/${shop}`);
  await page.getByRole("link", { name: "Panels" }).click();
  await expect(page).toHaveURL(new RegExp(`/panels/${bench.slug}$`));
  await expect(page.getByRole("button", { name: "Phone", exact: true })).toHaveAttribute("aria-pressed", "true");
  await expect(page.getByRole("button", { name: "Settings of Light" })).toHaveAttribute("aria-expanded", "true");
  // Misspelt, and in another order.
  await page.keyboard.press("Control+k");
  await page.getByRole("combobox").fill("colums light");
  await expect(page.getByRole("option").first()).toHaveText("Light: columns");
  await page.keyboard.press("Enter");
  await expect(page.locator(":focus")).toHaveAttribute("aria-label", /^Columns/);
  await page.keyboard.press("Control+k");
  await page.getByRole("combobox").fill("swatches flower");
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/\/swatches\/flower-colour$/);
});

test("options are picked by how frequent they are, put at a number, and moved by keys that are held", async ({
  page,
}) => {
  const shop = await newShop(page.request, "In order");
  const bench = await openBench(page, true, shop);
  await bench.addFacet("Brand");
  await page.getByRole("button", { name: "Settings of Brand" }).click();
  await page.getByRole("tab", { name: "options" }).click();
  const names = () => bench.wide.locator(".zt-options .zt-name").allTextContents();
  await expect.poll(async () => (await names()).length).toBe(6);
  const [first = "", second = "", third = ""] = await names();
  await page.getByText("only picked", { exact: true }).click();
  await page.getByRole("spinbutton", { name: "How many of the most frequent" }).fill("3");
  await page.getByRole("button", { name: "The 3 most frequent" }).click();
  await expect.poll(names).toEqual([first, second, third]);
  await page.getByRole("textbox", { name: `Position of ${third}` }).fill("1");
  await page.getByRole("textbox", { name: `Position of ${third}` }).press("Enter");
  await expect.poll(names).toEqual([third, first, second]);
  await page.getByRole("button", { name: `Move ${third}`, exact: true }).focus();
  await page.keyboard.press("Alt+ArrowDown");
  await page.keyboard.press("Alt+ArrowDown");
  await expect.poll(names).toEqual([first, second, third]);
  await expectAccessible(page);
  // One line of history for a run of the same step.
  await page.getByRole("button", { name: "History" }).click();
  await expect(page.getByRole("list", { name: "Steps" })).toContainText(`move ${third} to position 3 3 times`);
});

test("a swatch list is taken out and in again with its pictures, and is the same book", async ({ page }) => {
  const shop = await newShop(page.request, "Out and in");
  const svg =
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 8 8"><rect width="8" height="8" fill="#e2571e"/></svg>';
  const { path } = await (
    await page.request.post(`/api/shops/${shop}/pictures`, {
      headers: origin,
      multipart: { file: { name: "e.svg", mimeType: "image/svg+xml", buffer: Buffer.from(svg) } },
    })
  ).json();
  const address = `/api/shops/${shop}/documents/swatches`;
  const { document: empty } = await (await page.request.get(address)).json();
  const book = {
    ...empty,
    shared: {
      ember: { picture: path, alt: "Glowing" },
      cream: { colours: ["#f6ecd2", "#ffffff"], drawing: "stripes" },
    },
  };
  const put = async (document: unknown) => {
    const { version } = await (await page.request.get(address)).json();
    expect((await page.request.put(address, { data: { version, document }, headers: origin })).status()).toBe(200);
  };
  await put(book);
  const zip = await (await page.request.get(`/api/shops/${shop}/swatches.zip`)).body();
  await put(empty);
  await page.goto(`/shops/${shop}/swatches/flower-colour`);
  await page.getByRole("button", { name: "Paste a list" }).click();
  await page
    .getByLabel("List of colours", { exact: true })
    .and(page.locator("input"))
    .setInputFiles({ name: "swatches.zip", mimeType: "application/zip", buffer: zip });
  await expect(page.getByRole("row", { name: /^Ember / })).toContainText("own picture");
  await expect(page.locator("header").getByRole("status")).toHaveText("Saved");
  expect((await (await page.request.get(address)).json()).document).toEqual(book);
  // Lines as people write them.
  await page.getByRole("button", { name: "Paste a list" }).click();
  await page.getByRole("textbox", { name: /One value per line/ }).fill("Moonlit #d3d9e2\nViolet: #6b3fa0");
  await page.getByRole("button", { name: "Use these colours" }).click();
  await expect(page.getByRole("textbox", { name: "Colours of Moonlit", exact: true })).toHaveValue("#d3d9e2");
  await expect(page.getByRole("textbox", { name: "Colours of Violet", exact: true })).toHaveValue("#6b3fa0");
  await page.getByRole("combobox", { name: "Colour vision" }).selectOption("deutan");
  await expect(page.getByRole("region", { name: "Values" })).toHaveCSS("filter", /seen-deutan/);
});

test("anything of a shop is found by name, and focus is on what was made", async ({ page }) => {
  const shop = await newShop(page.request, "Found by name");
  const bench = await openBench(page, true, shop);
  const ask = async (words: string, first: string | RegExp) => {
    await page.keyboard.press("Control+k");
    await page.getByRole("combobox").fill(words);
    await expect(page.getByRole("option").first()).toHaveText(first);
    await page.keyboard.press("Enter");
  };
  // Former and other words lead to the same.
  await bench.addFacet("Light");
  await page.keyboard.press("Control+k");
  await page.getByRole("combobox").fill("delete panel");
  await expect(page.getByRole("option", { name: "Remove, duplicate or move this panel" })).toBeVisible();
  await page.getByRole("combobox").fill("dead ends");
  await expect(page.getByRole("option", { name: /: empty options$/ }).first()).toBeVisible();
  await page.getByRole("combobox").fill("honeysuckle");
  await expect(page.getByRole("option", { name: /^Product .*honeysuckle/i }).first()).toBeVisible();
  await page.keyboard.press("Escape");

  await ask("rename panel", "Rename this panel");
  await expect(page.locator(":focus")).toHaveAttribute("aria-label", "Panel name");
  await ask("new panel", "New panel");
  await expect(page.getByRole("dialog", { name: "New panel" })).toBeVisible();
  await page.getByRole("button", { name: "Create panel" }).press("Enter");
  await expect(page).not.toHaveURL(new RegExp(`/panels/${bench.slug}$`));
  await expect(page.locator(":focus")).toHaveAttribute("data-tab", /./);

  // Typing and Enter add; Done leads to what was added.
  await page.getByRole("button", { name: "Facet or piece" }).press("Enter");
  await page.getByRole("searchbox", { name: "Search the fields" }).fill("Price");
  await page.keyboard.press("Enter");
  await page.keyboard.press("Tab");
  await expect(page.locator(":focus")).toHaveText("Done");
  await page.keyboard.press("Enter");
  await expect(page.locator(":focus")).toHaveAttribute("aria-label", "Move Price");

  await ask("new collection", "New collection");
  await expect(page).toHaveURL(/\/pages\/collections\/collection/);
  await ask("publish", "Publish an edition");
  await expect(page.locator(":focus")).toHaveText(/Publish edition/);
  await ask("page pots", /^Show the page .*Pots/);
  await expect(page).toHaveURL(/\/panels.*page=/);
});

test("a new panel starts from a recipe of the shop's own fields, seen before it is made", async ({ page }) => {
  const shop = await newShop(page.request, "By recipe");
  const bench = await openBench(page, true, shop);
  await page.getByRole("button", { name: "New panel" }).click();
  const dialog = page.getByRole("dialog", { name: "New panel" });
  await dialog.getByRole("radio", { name: /^Colour and size/ }).check();
  const preview = dialog.getByRole("list", { name: "Preview: Colour and size" });
  await expect(preview.getByRole("listitem")).toContainText(["Category", "Flower colour", "Pot size"]);
  await expect(preview).toContainText(/one choice leaves \d+ on average/);
  await expect(dialog.getByRole("textbox", { name: "Name" })).toHaveValue("Colour and size");
  await expectAccessible(page);
  await dialog.getByRole("button", { name: "Create panel" }).click();
  await expect(page).toHaveURL(/\/panels\/colour-and-size/);
  await expect(bench.wide.locator(".zt-title")).toContainText(["Category", "Flower colour", "Pot size"]);
});

test("many panels are a list with a search", async ({ page }) => {
  const shop = await newShop(page.request, "Many panels");
  const { document } = await (await page.request.get(`/api/shops/${shop}/documents/panel/first-panel`)).json();
  for (let n = 1; n <= 9; n++)
    await page.request.post(`/api/shops/${shop}/documents/panel`, {
      data: { document: { ...document, name: `Bed ${n}` } },
      headers: origin,
    });
  await page.goto(`/shops/${shop}/panels/first-panel`);
  await page.getByRole("button", { name: "All 10 panels" }).click();
  const list = page.getByRole("dialog", { name: "All panels" });
  await expect(list.getByRole("option")).toHaveCount(10);
  await list.getByRole("combobox").fill("bed 7");
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/\/panels\/bed-7$/);
  await expect(page.getByRole("textbox", { name: "Panel name" })).toHaveValue("Bed 7");
});

test("what is typed into the list of actions before it has loaded is found when it has", async ({ page }) => {
  let go = () => {};
  const held = new Promise<void>((done) => {
    go = done;
  });
  await page.route("**/assets/command-list-*.js", async (route) => {
    await held;
    await route.continue();
  });
  await page.goto(`/shops/${demoShop}/pages`);
  await expect(page.getByRole("heading", { name: "Pages", level: 1 })).toBeVisible();
  await page.keyboard.press("Control+k");
  await page.keyboard.type("go to the look");
  const list = page.getByRole("dialog", { name: "All actions" });
  await expect(list.getByText("Loading…")).toBeVisible();
  go();
  await expect(list.getByRole("option", { name: "Go to the look", exact: true })).toHaveAttribute(
    "aria-selected",
    "true",
  );
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/\/look/);
});

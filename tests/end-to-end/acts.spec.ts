import { newShop, openBench } from "./bench.ts";
import { expect, type Locator, type Page, test } from "./test.ts";

/** Acts: a click, a key or a shortcut, and a text that is typed, which is one with either. */
function counted(page: Page) {
  let acts = 0;
  return {
    get acts() {
      return acts;
    },
    async click(target: Locator) {
      acts++;
      await target.click();
    },
    async press(key: string) {
      acts++;
      await page.keyboard.press(key);
    },
    async type(text: string) {
      acts++;
      await page.keyboard.type(text);
    },
    /** Opens the list of all actions, takes the first that is found, and waits for what it leads to. */
    async ask(words: string, first: string | RegExp, then: Locator) {
      await this.press("Control+k");
      const list = page.getByRole("dialog", { name: "All actions" });
      await expect(list.getByRole("combobox")).toBeFocused();
      await this.type(words);
      await expect(list.getByRole("option").first()).toHaveText(first);
      await this.press("Enter");
      await expect(list).toHaveCount(0);
      await expect(then).toBeVisible();
      // An act gives the focus to what it made.
      await expect(page.locator("body:focus")).toHaveCount(0);
    },
  };
}

const focused = (page: Page) => page.locator(":focus");

/** The place of the panel that is open. */
const panelIn = (page: Page) => page.url().split("/").at(-1) ?? "";

/** What both ways lead to. */
async function isPublished(page: Page, shop: string, panel: string) {
  await expect(page.getByText("Edition 1", { exact: true }).first()).toBeVisible();
  const read = async (path: string) =>
    (await (await page.request.get(`/api/shops/${shop}/documents/${path}`)).json()).document;
  const { rows } = await read(`panel/${panel}`);
  expect(rows.map(({ display }: { display: { wide: string } }) => display.wide)).toEqual(["tiles", "swatch-boxes"]);
  expect(JSON.stringify(await read("swatches"))).toContain("#fbceb1");
}

test("a panel of two facets, their displays, a colour and an edition take at most half as many acts again by keys", async ({
  page,
}) => {
  const shops = [await newShop(page.request, "By mouse"), await newShop(page.request, "By keys")];
  const [first = "", second = ""] = shops;

  await openBench(page, true, first);
  const mouse = counted(page);
  const dialog = page.getByRole("dialog");
  const button = (name: string | RegExp) => page.getByRole("button", { name });
  await mouse.click(button("New panel"));
  await mouse.click(button("Create panel"));
  await expect(page.getByRole("heading", { level: 1, name: /Panel 3/ })).toBeVisible();
  await expect(dialog).toHaveCount(0);
  await mouse.click(button("Facet or piece"));
  for (const name of [/^Light/, /^Flower colour/]) await mouse.click(dialog.getByRole("button", { name }).first());
  await mouse.click(page.getByRole("button", { name: "Done", exact: true }));
  await mouse.click(button(/^Light on wide/));
  await mouse.click(dialog.getByRole("button", { name: "Tiles", exact: true }));
  await mouse.click(button(/^Flower colour on wide/));
  await mouse.click(dialog.getByRole("button", { name: "Check boxes with a swatch", exact: true }));
  const made = panelIn(page);
  await mouse.click(page.getByRole("link", { name: "Swatch book" }));
  await mouse.click(page.getByRole("link", { name: /^Flower colour/ }));
  await mouse.click(page.getByRole("textbox", { name: "Colours of Apricot" }));
  await mouse.press("Control+a");
  await mouse.type("#fbceb1");
  await mouse.click(page.getByRole("link", { name: "Editions" }));
  await mouse.click(button("Publish edition"));
  await isPublished(page, first, made);

  await openBench(page, true, second);
  const keys = counted(page);
  await keys.ask("new panel", "New panel", button("Create panel"));
  await keys.press("Enter");
  await expect(page.getByRole("heading", { level: 1, name: /Panel 3/ })).toBeVisible();
  await expect(dialog).toHaveCount(0);
  await keys.ask("add light", "Add Light", button(/^Light on wide/));
  await keys.ask("add flower", "Add Flower colour", button(/^Flower colour on wide/));
  await keys.ask("light tiles wide", "Show Light as tiles on wide", button("Light on wide: Tiles"));
  await keys.ask(
    "flower boxes swatch wide",
    "Show Flower colour as check boxes with a swatch on wide",
    button("Flower colour on wide: Check boxes with a swatch"),
  );
  const keyed = panelIn(page);
  const colours = page.getByRole("textbox", { name: "Colours of Apricot" });
  await keys.ask("colours apricot", "Colours of Apricot in Flower colour", colours);
  await expect(focused(page)).toHaveAttribute("aria-label", "Colours of Apricot");
  await keys.type("#fbceb1");
  await keys.press("Enter");
  await keys.ask("publish", "Publish an edition", button("Publish edition"));
  await expect(focused(page)).toHaveText(/Publish edition/);
  await keys.press("Enter");
  await isPublished(page, second, keyed);

  test.info().annotations.push({ type: "acts", description: `${mouse.acts} by mouse, ${keys.acts} by keys` });
  console.log(`${mouse.acts} acts by mouse, ${keys.acts} by keys`);
  expect(keys.acts).toBeLessThanOrEqual(1.5 * mouse.acts);
});

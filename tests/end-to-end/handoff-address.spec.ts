import { foundBy, holdCatalogue, openForeign, ready, test } from "./foreign-site.ts";
import { expect } from "./test.ts";

const queries = [
  "?light=half+shade",
  "?light=full+sun&flower-colour=apricot&category=plants",
  "?price.min=5&price.max=9&pot-size=2+l",
  "?sort=-price",
];
/** Few enough products that what is below them is in sight. */
const short = (ids: readonly string[]): string =>
  `<ul data-trellis-list="">${ids.map((id) => `<li data-trellis-product="${id}">${id}</li>`).join("")}</ul>\n<footer><h2>Below</h2></footer>`;

for (const [band, viewport] of [
  ["wide", { width: 1280, height: 800 }],
  ["slim", { width: 390, height: 844 }],
] as const)
  test(`choices in the address move nothing on ${band}, on lists of the site’s own and ours`, async ({
    context,
    foreign,
  }) => {
    const { folder, piece, site } = foreign;
    const own = short(["LM001", "LM002", "LM003", "LM004", "LM005"]);
    site.page("short.html", foreign.head, piece("index/climber-finder.html") + own);
    site.page(
      "short-line.html",
      `<link rel="stylesheet" href="/${folder}/trellis-space.css">\n<script src="/${folder}/trellis.js"></script>\n`,
      `<trellis-panel name="climber-finder"></trellis-panel>${own}`,
    );
    const moved: string[] = [];
    for (const name of ["own", "ours", "panel", "twins", "short", "short-line"])
      for (const query of queries) {
        const page = await context.newPage();
        await page.setViewportSize(viewport);
        await openForeign(page, `${foreign.origin}/${name}.html${query}`);
        await ready(page, name === "twins" ? 2 : 1);
        await expect(page.locator("html")).toHaveAttribute("data-trellis-awaits", "done");
        // A frame for what was shown last, and one for the browser's record of it.
        await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
        const shift = await page.evaluate(() => window.shift);
        if (shift > 0.01) moved.push(`${name}${query}: ${shift.toFixed(3)}`);
        await page.close();
      }
    expect(moved).toEqual([]);
  });

test("a list is hidden until the choices of its address are applied, and shown where that fails", async ({
  page,
  foreign,
}) => {
  const { bring } = await holdCatalogue(page);
  await foreign.open(page, "own.html?light=full+sun");
  const item = page.locator("[data-trellis-list] > li").first();
  const visibility = () => item.evaluate((one) => getComputedStyle(one).visibility);
  expect(await visibility()).toBe("hidden");
  bring();
  await expect.poll(visibility).toBe("visible");
  const { products } = await foreign.site.tally({ choices: { light: { options: ["full sun"] } }, text: "" });
  expect(await foundBy(page)).toEqual(products);
  // Without choices nothing waits.
  await foreign.open(page, "own.html?utm_source=letter");
  await expect(page.locator("html")).not.toHaveAttribute("data-trellis-awaits", /./);
  // A handoff that is not there leaves the site's own list as it is.
  await page.unroute(/\.bin$/);
  await page.route(/\.bin$/, (route) => route.abort());
  await foreign.open(page, "own.html?light=full+sun");
  await expect.poll(visibility).toBe("visible");
  await expect(page.locator("html")).toHaveAttribute("data-trellis-awaits", "done");
  await page.route(/trellis\.\w+\.js$/, (route) => route.abort());
  await foreign.open(page, "own.html?light=full+sun");
  await expect.poll(visibility).toBe("visible");
});

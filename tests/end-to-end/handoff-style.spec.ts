import { expectAccessible } from "./axe.ts";
import { ready, test } from "./foreign-site.ts";
import { expect, type Page } from "./test.ts";

const wide = { width: 1280, height: 800 };
const slim = { width: 390, height: 844 };

/** Rules that a site may have, heavier than most: all of them would change a panel that does not stand up to them. */
const heavy = `
html { font-size: 62.5%; }
* { box-sizing: content-box; letter-spacing: 2px; line-height: 2; transition: all 3s !important; }
body { color: #c00; font: italic 700 2.4rem/2 serif; text-align: right; text-transform: uppercase; word-spacing: 9px; cursor: crosshair; }
*::before, *::after { content: "!" !important; color: lime !important; }
label, input, button, select, summary { display: block !important; margin: 11px !important; padding: 9px !important; border: 5px dashed red !important; background: yellow !important; color: blue !important; font: 900 30px fantasy !important; min-height: 70px !important; float: right !important; }
ul, li, section, form, fieldset, div div { margin: 8px; padding: 6px; list-style: square inside !important; background: pink; opacity: 0.9; }
h1, h2, h3, h4 { font-size: 50px !important; text-shadow: 2px 2px red; }
a, a:hover { color: green !important; text-decoration: overline !important; }
span, output, p { font-weight: 100 !important; padding: 3px; display: block; }
img, svg { max-width: 9px !important; border: 3px solid; }
path { fill: red; stroke: lime; transform: rotate(9deg); }
dialog { all: unset !important; }
`;

/** All computed styles of a panel, element by element, and of what stands before and after each; of a path what it paints. */
const stylesOf = (page: Page) =>
  page.evaluate(() => {
    const paints = [
      "fill",
      "stroke",
      "stroke-width",
      "stroke-linecap",
      "d",
      "transform",
      "opacity",
      "visibility",
      "display",
    ];
    const root = document.querySelector(".zt-root");
    const met = new Map<string, number>();
    return [...(root?.querySelectorAll("*") ?? [])]
      .filter((element) => {
        // Of many options that are alike the first few tell all.
        const kind = `${element.parentElement?.getAttribute("class")} ${element.tagName} ${element.getAttribute("class")}`;
        met.set(kind, (met.get(kind) ?? 0) + 1);
        return element.tagName !== "NOSCRIPT" && (met.get(kind) ?? 0) <= 4;
      })
      .flatMap((element) =>
        (element.tagName === "path" ? [""] : ["", "::before", "::after"]).map((pseudo) => {
          const style = getComputedStyle(element, pseudo);
          // Of what is not there it only matters that it stays so.
          const absent = pseudo !== "" && style.content === "none";
          const names = element.tagName === "path" ? paints : absent ? ["content"] : [...style];
          const said = names.map((name) => [name, style.getPropertyValue(name)]);
          return {
            of: `${element.tagName}.${element.getAttribute("class")}${pseudo}`,
            style: Object.fromEntries(said),
          };
        }),
      );
  });

for (const size of [wide, slim])
  test(`a heavy style sheet of the site changes no computed style of the panel, ${size.width} px wide`, async ({
    page,
    foreign,
  }) => {
    await page.setViewportSize(size);
    // A typeface shows only where it is there for the first frame, and widths of words hang on it.
    await page.route(/\.woff2$/, (route) => route.abort());
    const head = foreign.head;
    const panel = foreign.piece("index/climber-finder.html");
    const box =
      "trellis-panel { all: initial !important; display: block !important; position: absolute !important; inset: 20px auto auto 20px !important; width: 280px !important; }";
    foreign.site.put("plain.css", box);
    foreign.site.put("heavy.css", heavy + box);
    const seen: Awaited<ReturnType<typeof stylesOf>>[] = [];
    for (const name of ["plain", "heavy"]) {
      foreign.site.page(`${name}.html`, `${head}<link rel="stylesheet" href="/${name}.css">\n`, panel);
      await foreign.open(page, `${name}.html`);
      await ready(page);
      await page.mouse.move(0, 0);
      await page.waitForTimeout(300);
      seen.push(await stylesOf(page));
    }
    const [plain = [], other = []] = seen;
    expect(plain.length).toBeGreaterThan(200);
    expect(other.length).toBe(plain.length);
    const changed = plain.flatMap(({ of, style }, at) =>
      Object.entries(style).flatMap(([name, value]) => {
        const now = other[at]?.style[name];
        return now === value ? [] : [`${of} ${name}: ${value} → ${now}`];
      }),
    );
    expect([...new Set(changed)].slice(0, 40)).toEqual([]);
  });

for (const [band, size] of Object.entries({ wide, slim })) {
  test.describe(`on ${band}`, () => {
    test.use({ viewport: size });

    test("without scripts it stands on its band and works as a form", async ({ browser, foreign }) => {
      const page = await browser.newPage({ javaScriptEnabled: false, viewport: size });
      const openPanel = async () => {
        const link = page.getByRole("link", { name: "Filters" });
        if (band === "slim") await link.click();
        else await expect(link).toHaveCount(0);
      };
      await page.goto(`${foreign.origin}/ours.html`);
      await openPanel();
      await expect(page.locator("form.zt-panel:visible")).toHaveCount(1);
      await expect(page.locator("trellis-listing [data-trellis-product]")).toHaveCount(24);
      await page.locator("form.zt-panel:visible").getByRole("checkbox", { name: "Full sun" }).check();
      await page.locator("form.zt-panel:visible").getByRole("button", { name: "Show products" }).click();
      expect(new URL(page.url()).searchParams.getAll("light")).toEqual(["full sun"]);
      await page.goto(`${foreign.origin}/form.html`);
      await page.locator("form.zt-panel:visible .zt-apply").click();
      expect(new URL(page.url()).pathname).toBe("/found.html");
      await page.close();
    });

    test("nothing serious for axe", async ({ page, foreign }) => {
      for (const path of ["ours.html", "own.html", "form.html"]) {
        await foreign.open(page, path);
        await ready(page);
        await expectAccessible(page, "main");
      }
    });
  });
}

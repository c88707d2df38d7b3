import type { Page } from "@playwright/test";
import { containedOf, foreignHost } from "./random-css.ts";

/** A page with a panel, and other things before, behind and around it; its typeface and its animation have names that style sheets can take. */
const page = `<!doctype html><html><head><base href="https://own.example/"><style>
@layer base { @keyframes spin { from { opacity: 0.5 } to { opacity: 0.5 } } }
#out, .sibling { animation: spin 1s infinite; color: rgb(1, 2, 3); font-family: Outside, serif; width: 50px; }
</style><style id="extra"></style></head><body>
<div class="sibling zt-a">before</div><section><p class="zt-a">near</p>
<div data-of="p" class="zt-panel"><div class="zt-a"><a href="#">in</a><div>in</div></div></div>
<div class="sibling">beside</div></section><div id="out"><a href="#">out</a></div></body></html>`;

const properties = [
  "color",
  "background-image",
  "display",
  "visibility",
  "opacity",
  "animation-name",
  "font-family",
  "content",
];
const more = ["cursor", "mask-image", "border-image-source", "filter", "list-style-image", "--x", "--y"];

/** The effects of random style sheets where there must be none. */
export interface Contained {
  sheets: number;
  /** Sheets of which something changed inside of the panel, so that the test can fail. */
  seen: number;
  failures: string[];
}

/** Random style sheets as they come onto a page. */
export const randomSheets = (seeds: readonly number[]): string[] =>
  seeds.flatMap((seed) => containedOf(seed, ':is([data-of="p"])'));

/** Puts style sheets onto a page one after the other, and looks at everything outside of the panel and at every request. */
export async function contain(browserPage: Page, sheets: readonly string[]): Promise<Contained> {
  const requested: string[] = [];
  await browserPage.route("**/*", (route) => {
    const { hostname } = new URL(route.request().url());
    if (hostname !== "own.example") requested.push(route.request().url());
    return route.request().isNavigationRequest()
      ? route.fulfill({ contentType: "text/html", body: page })
      : route.fulfill({ status: 204, body: "" });
  });
  // Some compilers name functions by a helper that pages don’t have.
  await browserPage.addInitScript("globalThis.__name = (named) => named;");
  await browserPage.goto("https://own.example/");
  const failures: string[] = [];
  let seen = 0;
  for (let from = 0; from < sheets.length; from += 50) {
    const some = sheets.slice(from, from + 50);
    const found = await browserPage.evaluate(
      async ({ list, names }) => {
        const extra = document.getElementById("extra") as HTMLStyleElement;
        const outside = [...document.querySelectorAll("*")].filter(
          (one) => !one.closest("[data-of]") && one.tagName !== "STYLE" && one.tagName !== "BASE",
        );
        const read = (all: Element[]) =>
          all
            .flatMap((one) => ["", "::before", "::after"].map((part) => getComputedStyle(one, part)))
            .map((style) => names.map((name) => style.getPropertyValue(name)).join("|"));
        const inside = [...document.querySelectorAll("[data-of], [data-of] *")];
        extra.textContent = "";
        const [before, within] = [read(outside).join("\n"), read(inside).join("\n")];
        const faces = () => [...document.fonts].map(({ family }) => family);
        const result: { changed: boolean; seen: boolean }[] = [];
        for (const css of list) {
          extra.textContent = css;
          await new Promise((done) => requestAnimationFrame(done));
          const own = faces().some((family) => /^"?outside"?$/i.test(family));
          result.push({
            changed: own || read(outside).join("\n") !== before,
            seen: read(inside).join("\n") !== within,
          });
        }
        return result;
      },
      { list: some, names: [...properties, ...more] },
    );
    found.forEach(({ changed, seen: effect }, at) => {
      if (effect) seen++;
      if (changed) failures.push(some[at] ?? "");
    });
  }
  failures.push(...requested.map((address) => `fetched ${address}`));
  if (requested.some((address) => address.includes(foreignHost))) failures.push("a foreign host was asked");
  return { sheets: sheets.length, seen, failures };
}

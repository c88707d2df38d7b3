import { readFileSync } from "node:fs";
import type { TrellisPanelElement } from "../../src/server/handoff/trellis.d.ts";
import { HandoffSite } from "../handoff-site.ts";
import { serveFiles, strictPolicy } from "../static-server.ts";
import { origin } from "./bench.ts";
import { test as base, expect, type Page } from "./test.ts";

/** A site that is not ours, with a handoff of the demo shop in it. */
export interface ForeignSite {
  site: HandoffSite;
  origin: string;
  /** Folder of the handoff in the site. */
  folder: string;
  /** A piece of markup of the handoff, by its place under `pages`. */
  piece(path: string): string;
  /** The tags for the head of each page. */
  head: string;
  /** Opens a page of the site, see {@link openForeign}. */
  open(page: Page, path: string): ReturnType<typeof openForeign>;
  /** The lines that pages have posted since the test began. */
  posted: string[];
  /** Answers in place of files until the test ends; undefined for those that are answered as they are. */
  answerInstead(answer: (path: string) => { status: number; body?: Buffer } | undefined): void;
}

const folder = "deep/down/trellis";

/** Tests on a site that is made once for each worker, whatever files they stand in. */
export const test = base.extend<{ foreign: ForeignSite }, { made: ForeignSite & { reset(): void } }>({
  made: [
    // biome-ignore lint/correctness/noEmptyPattern: Playwright wants it so
    async ({}, use) => {
      const site = await HandoffSite.fetched(origin.origin);
      const pages = ["/", "/articles/choosing-a-climber", "/collections/gifts"].flatMap((page) => ["--page", page]);
      site.handOver(folder, "--at", `/${folder}/`, "--action", "/found.html", "--link", "/products/{id}", ...pages);
      putPages(site);
      const posted: string[] = [];
      let instead: Parameters<ForeignSite["answerInstead"]>[0] | undefined;
      const server = await serveFiles(
        { "/demo/": "demo", "/": site.root },
        {
          headers: strictPolicy,
          instead: (path) => instead?.(path),
          posted: (_path, body) => posted.push(...body.split("\n").filter(Boolean)),
        },
      );
      await use({
        site,
        posted,
        origin: server.origin,
        folder,
        piece: (path) => site.piece(`${folder}/pages/${path}`),
        head: site.piece(`${folder}/head.html`),
        open: (page, path) => openForeign(page, `${server.origin}/${path}`),
        answerInstead(answer) {
          instead = answer;
        },
        reset() {
          instead = undefined;
          posted.length = 0;
        },
      });
      server.close();
    },
    { scope: "worker" },
  ],
  async foreign({ made }, use) {
    await use(made);
    made.reset();
  },
});

/** Markup that belongs to a group of its own. */
const ofGroup = (group: string, markup: string): string =>
  markup
    .replace(/<trellis-(panel|listing)/g, `<trellis-$1 group="${group}"`)
    .replace(/data-trellis-(count|sort|more|nothing)=""/g, `data-trellis-$1="${group}"`);

/** The ways in which a site can have a panel, each on a page. */
function putPages(site: HandoffSite): void {
  // The panel has a column of its own, as a sticky one wants it.
  site.put(
    "site.css",
    "@media (min-width: 1000px) { trellis-panel { float: left; width: 280px; } trellis-panel ~ * { margin-left: 320px; } }",
  );
  site.put("icon.svg", '<svg xmlns="http://www.w3.org/2000/svg"/>');
  const head = site.piece(`${folder}/head.html`);
  const piece = (path: string) => site.piece(`${folder}/pages/${path}.html`);
  const panel = piece("index/climber-finder");
  const listing = piece("index/listing");
  const [gifts, questions, gift] = ["climber-finder", "three-questions", "listing"].map((name) =>
    piece(`collections/gifts/${name}`),
  );
  const ids = [...new Set(readFileSync("demo/nursery.csv", "utf8").match(/^LM\d{3}/gm))].reverse();
  const rows = (all: readonly string[]) =>
    all.map((id) => `<li><article data-trellis-product="${id}">${id}</article></li>`).join("\n");
  const list = (items: string) =>
    `<p data-trellis-count=""></p>\n<select data-trellis-sort="" aria-label="Sort by"></select>\n<ul data-trellis-list="">\n${items}\n</ul>\n<p data-trellis-nothing="" hidden>Nothing</p>\n`;
  const again = head.replace(/(trellis\.\w+\.js)/, "$1?again").replace(/ integrity="[^"]+"/g, "");
  const more = '<button type="button" data-trellis-more="" hidden></button>';
  const bodies: Record<string, string> = {
    ours: panel + listing,
    found: panel + listing,
    panel,
    own: panel + list(rows(ids)),
    paged: panel + list(rows(ids)) + more,
    form: piece("articles/choosing-a-climber/three-questions.form"),
    "two-lists": panel + list(rows(["LM001"])) + list(rows(["LM002"])),
    strangers: panel + list(rows(["LM001", "LM001", "ZZ9"])),
    twins: `${gifts}${questions}${gift}${ofGroup("other", panel + listing)}`,
    twice: `${panel}${listing}${again}`,
    quiet: panel.replace("<trellis-panel", '<trellis-panel history="none"') + listing,
  };
  for (const [name, body] of Object.entries(bodies)) site.page(`${name}.html`, head, body);
}

/** Holds a page's catalogue back until it is brought. Call it before the page is opened. */
export async function holdCatalogue(page: Page): Promise<{ bring(): void }> {
  let bring = () => {};
  const held = new Promise<void>((done) => {
    bring = done;
  });
  await page.route(/\.bin$/, async (route) => {
    await held;
    await route.continue();
  });
  return { bring };
}

/** Keeps what the elements of a page tell, and how far the page has moved by itself. */
async function listenOn(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const told: [string, Record<string, unknown>][] = [];
    Object.assign(window, { told, shift: 0 });
    for (const name of ["ready", "change", "results", "trouble"])
      document.addEventListener(`trellis-${name}`, (event) => told.push([name, (event as CustomEvent).detail]));
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries())
        Object.assign(window, { shift: window.shift + (entry as unknown as { value: number }).value });
    }).observe({ type: "layout-shift", buffered: true });
  });
}

/** Opens a page, and keeps what its elements tell and what the browser complains of. */
export async function openForeign(page: Page, address: string): Promise<{ complaints: string[] }> {
  const complaints: string[] = [];
  page.on("console", (message) => {
    if (message.type() === "error") complaints.push(message.text());
  });
  page.on("pageerror", ({ message }) => complaints.push(message));
  await listenOn(page);
  await page.goto(address);
  return { complaints };
}

declare global {
  interface Window {
    told: [name: string, detail: Record<string, unknown>][];
    shift: number;
  }
}

/** The events of one name that the elements have sent, in order. */
export const told = (page: Page, name: string): Promise<Record<string, unknown>[]> =>
  page.evaluate((wanted) => window.told.filter(([one]) => one === wanted).map(([, detail]) => detail), name);

/** Waits until products can be counted, in so many groups. */
export const ready = async (page: Page, groups = 1): Promise<void> => {
  await expect.poll(async () => (await told(page, "ready")).length).toBe(groups);
};

export const panelOf = (page: Page) => page.locator("trellis-panel");

/** The ids of the products that the first panel finds. */
export const foundBy = (page: Page): Promise<string[]> =>
  panelOf(page)
    .first()
    .evaluate((panel: TrellisPanelElement) => panel.found());

/** Chooses one option by the element's own method. */
export const chooseOption = (page: Page, field: string, option: string, panel = 0): Promise<void> =>
  panelOf(page)
    .nth(panel)
    .evaluate((element: TrellisPanelElement, [key, one]) => element.choose(key, { options: [one] }), [
      field,
      option,
    ] as const);

/** Puts markup into a page that stands already. */
export const addMarkup = (page: Page, markup: string): Promise<void> =>
  page.evaluate((html) => {
    const more = document.createElement("div");
    more.append(document.createRange().createContextualFragment(html));
    document.querySelector("main")?.append(more);
  }, markup);

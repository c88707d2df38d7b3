import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { unzipSync } from "fflate";
import { newFacet } from "../../src/core/panel/panel.ts";
import { sharedPort } from "../server.ts";
import { serveFiles, strictPolicy } from "../static-server.ts";
import { newShop, origin } from "./bench.ts";
import { openForeign, panelOf, ready } from "./foreign-site.ts";
import { type APIRequestContext, expect, type Page, test } from "./test.ts";

/** Publishes a shop twice, with a facet called otherwise. */
async function twoEditions(request: APIRequestContext): Promise<{ shop: string; slug: string }> {
  const shop = await newShop(request, "Tried");
  const documents = `/api/shops/${shop}/documents/panel`;
  const [{ slug }] = await (await request.get(documents)).json();
  for (const label of ["First words", "Second words"]) {
    const { version, document } = await (await request.get(`${documents}/${slug}`)).json();
    const light = { ...newFacet("f-l", "light", "check-boxes", "any"), label };
    const rows = [light, ...document.rows.filter(({ id }: { id: string }) => id !== "f-l")];
    await request.put(`${documents}/${slug}`, { data: { version, document: { ...document, rows } }, headers: origin });
    const made = await request.post(`/api/shops/${shop}/editions`, { data: { note: label }, headers: origin });
    expect(made.status(), await made.text()).toBe(201);
  }
  return { shop, slug };
}

const shown = async (page: Page): Promise<string> => {
  await ready(page);
  const first = panelOf(page).getByText("First words", { exact: true });
  const second = panelOf(page).getByText("Second words", { exact: true });
  await expect(first.or(second).first()).toBeVisible();
  return (await first.count()) > 0 ? "first" : "second";
};

test("a share of the tabs gets a second edition, the same one for their whole life, and visits say which", async ({
  browser,
  request,
}) => {
  const { shop, slug } = await twoEditions(request);
  const root = mkdtempSync(join(tmpdir(), "trellis-trial-"));
  const handOver = (share: string) =>
    execFileSync(
      process.execPath,
      [
        ...["dist/server/trellis.js", "handoff", "--shop", shop, "--data", `reports/end-to-end-${sharedPort}.db`],
        ...["--out", join(root, "trellis"), "--page", "/", "--edition", "2", "--trial", "1", "--share", share],
      ],
      { encoding: "utf8" },
    );
  expect(handOver("0.5")).toMatch(/^Edition 2\. Edition 1 for 50% of the tabs\. /);
  writeFileSync(join(root, "icon.svg"), '<svg xmlns="http://www.w3.org/2000/svg"/>');
  const head =
    '<link rel="icon" href="/icon.svg"><link rel="stylesheet" href="/trellis/trellis-space.css"><script src="/trellis/trellis.js"></script>';
  for (const name of ["a", "b"])
    writeFileSync(
      join(root, `${name}.html`),
      `<!doctype html><html lang="en"><head><title>${name}</title>${head}</head><body><trellis-panel name="${slug}" visits="/visits"></trellis-panel></body></html>`,
    );
  const posted: string[] = [];
  const server = await serveFiles(
    { "/demo/": "demo", "/": root },
    { headers: strictPolicy, posted: (_path, body) => posted.push(...body.split("\n").filter(Boolean)) },
  );
  try {
    const seen: string[] = [];
    for (let n = 0; n < 8; n++) {
      const context = await browser.newContext();
      // The tab's number, as a browser would draw it: evenly.
      const number = ((n + 0.5) / 8) * 2 ** 32;
      await context.addInitScript(
        (tab) => {
          if (location.protocol === "http:") sessionStorage.setItem("trellis-tab", tab);
        },
        `${Math.floor(number).toString(16).padStart(8, "0")}-0000-0000`,
      );
      const page = await context.newPage();
      const { complaints } = await openForeign(page, `${server.origin}/a.html`);
      const first = await shown(page);
      await page.goto(`${server.origin}/b.html`);
      expect(await shown(page)).toBe(first);
      seen.push(first);
      await page.goto("about:blank");
      await context.close();
      expect(complaints).toEqual([]);
    }
    expect(seen).toEqual([...Array(4).fill("first"), ...Array(4).fill("second")]);
    await expect.poll(() => posted.length).toBeGreaterThanOrEqual(16);
    const editions = posted.map((text) => JSON.parse(text).edition);
    expect([...new Set(editions)].sort()).toEqual([1, 2]);

    // Who wants privacy is not part of a trial; nor is anybody if the shares don't add up.
    const context = await browser.newContext();
    await context.addInitScript(() => {
      Object.defineProperty(navigator, "globalPrivacyControl", { value: true });
      sessionStorage.setItem("trellis-tab", "00000000-0000-0000");
    });
    const page = await context.newPage();
    await openForeign(page, `${server.origin}/a.html`);
    expect(await shown(page)).toBe("second");
    await context.close();
    const file = join(root, "trellis/trellis.json");
    const manifest = JSON.parse(readFileSync(file, "utf8"));
    writeFileSync(file, JSON.stringify({ ...manifest, trial: { ...manifest.trial, share: 1.5 } }));
    const other = await browser.newContext();
    await other.addInitScript(() => sessionStorage.setItem("trellis-tab", "00000000-0000-0000"));
    const wrong = await other.newPage();
    const { complaints } = await openForeign(wrong, `${server.origin}/a.html`);
    expect(await shown(wrong)).toBe("second");
    expect(complaints.join()).toContain("with the share 1.5. Use a folder below it, and a number between 0 and 1.");
    await other.close();
  } finally {
    server.close();
  }
});

test("the studio's download can have a trial edition", async ({ page, request }) => {
  const { shop } = await twoEditions(request);
  await page.goto(`/shops/${shop}/editions`);
  await page.getByRole("button", { name: "Handoff" }).click();
  await page.getByLabel("Trial edition").selectOption("Trial: half see edition 1");
  const link = page.getByRole("link", { name: "Download edition 2" });
  await expect(link).toHaveAttribute("href", /trial=1/);
  const address = await link.getAttribute("href");
  const files = unzipSync(new Uint8Array(await (await request.get(address ?? "")).body()));
  const manifest = (path: string) => JSON.parse(new TextDecoder().decode(files[path]));
  expect(manifest("trellis.json").trial).toEqual({ at: "trial/", share: 0.5 });
  expect(manifest("trial/trellis.json").trial).toBeUndefined();
  const edition = (folder: string) => manifest(folder + manifest(`${folder}trellis.json`).files.shop).edition;
  expect([edition(""), edition("trial/")]).toEqual([2, 1]);
  // A draft is nobody's edition, so it has no trial.
  await page.getByLabel("Edition to download").selectOption("Draft");
  await expect(page.getByLabel("Trial edition")).toHaveCount(0);
});

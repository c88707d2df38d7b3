import { unzipSync } from "fflate";
import type { PanelDocument } from "../../src/core/panel/panel-schema.ts";
import { reservedHeights } from "../reserved-heights.ts";
import { demoShop, newShop, origin } from "./bench.ts";
import { awake } from "./shop-page.ts";
import { type APIRequestContext, expect, test } from "./test.ts";

/** The heights that a handoff’s style sheet reserves for a panel, in the order wide, medium, slim; undefined for none. */
async function reserved(request: APIRequestContext, shop: string, panel: string): Promise<(number | undefined)[]> {
  const zip = await request.get(`/api/shops/${shop}/handoff.zip?of=1`);
  const sheet = new TextDecoder().decode(unzipSync(new Uint8Array(await zip.body()))["trellis-space.css"]);
  const heights = reservedHeights(sheet, panel);
  expect(heights).toHaveLength(3);
  return heights;
}

test("the space that lines keep free for panels is what the panels take up on the edition’s pages", async ({
  page,
  request,
}) => {
  test.slow();
  const shop = await newShop(request, "Measured heights");
  const sent = await (await request.get(`/api/shops/${demoShop}/documents/panel/climber-finder`)).json();
  // Above the products nothing hides a wrong height: what follows would jump.
  const document: PanelDocument = {
    ...sent.document,
    name: "Row",
    placement: { wide: "above", medium: "folded", slim: "drawer" },
    rows: sent.document.rows.slice(0, 3),
  };
  const made = await request.post(`/api/shops/${shop}/documents/panel`, { data: { document }, headers: origin });
  const { slug } = await made.json();
  const before = await (await request.get(`/api/shops/${shop}/documents/pages`)).json();
  const everywhere = { ...before.document.everywhere, panels: [{ panel: slug }] };
  const kept = { version: before.version, document: { ...before.document, everywhere } };
  const saved = await request.put(`/api/shops/${shop}/documents/pages`, { data: kept, headers: origin });
  expect([made.status(), saved.status()]).toEqual([201, 200]);
  await request.post(`/api/shops/${shop}/editions`, { data: { note: "" }, headers: origin });
  const estimated = await reserved(request, shop, slug);

  await page.goto(`/shops/${shop}/editions`);
  await page.getByRole("button", { name: "Handoff" }).click();
  await expect(page.getByText("Panel heights are measured, so pages keep still while a panel loads.")).toBeVisible();
  const measured = await reserved(request, shop, slug);
  expect(measured).not.toEqual(estimated);

  const sizes = [
    [1280, 800],
    [834, 1112],
    [390, 844],
  ] as const;
  for (const [at, [width, height]] of sizes.entries()) {
    await page.setViewportSize({ width, height });
    await page.goto(`/edition/${shop}/1/`);
    await awake(page);
    const box = await page.locator(`[data-of="${slug}"]:visible`).first().boundingBox();
    expect(Math.abs((measured[at] ?? 0) - (box?.height ?? 0))).toBeLessThanOrEqual(1);
  }
});

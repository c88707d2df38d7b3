import { describe, expect, it } from "vitest";
import { demoPanel } from "../../../demo/panel.ts";
import { bootAt, engine, panelsOf } from "../../../tests/demo-page.ts";
import { defaultLayout } from "../../core/page/layout.ts";
import { facetRows } from "../../core/panel/panel.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import { drawPage } from "./draw-page.tsx";

describe("the page as the server draws it", () => {
  const draw = async (search: string, panel = demoPanel, language = "en") =>
    (await drawPage({ ...bootAt("/", panelsOf(panel)), language }, engine, search)).markup;

  it("holds the answer to the address without any script, once for each kind of band", async () => {
    const page = await draw("?light=shade&lang=en");
    expect(page.replace(/<\/?bdi>/g, "")).toContain(">77 products of 240<");
    expect(page.match(/class="zs-card"/g)).toHaveLength(defaultLayout.size);
    expect(page).toMatch(/value="shade"[^>]*checked|checked[^>]*value="shade"/);
    expect(page).toContain("<noscript>");
    // Beside the products on wide and medium, in a drawer on slim: two panels, of which the style sheet shows one.
    expect(page.match(/class="zt-panel"/g)).toHaveLength(2);
    expect(page).toContain('data-bands="wide medium"');
    const ids = [...page.matchAll(/ id="([^"]+)"/g)].map(([, id]) => id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(page).toContain('<input type="hidden" name="lang" value="en"');
  });

  it("is drawn once where every band is alike", async () => {
    const page = await draw("", {
      ...demoPanel,
      placement: { wide: "left" },
      rows: facetRows(demoPanel).filter(({ display }) => !display.slim),
    });
    expect(page.match(/class="zt-panel"/g)).toHaveLength(1);
    expect(page).toContain('data-bands="wide medium slim"');
  });

  it("has every option, also those beyond the fold, for who has no scripts", async () => {
    const rows = demoPanel.rows.flatMap((row): PanelDocument["rows"] =>
      row.id === "f-flower-colour" && row.kind === "facet"
        ? [{ ...row, display: { wide: "check-boxes" }, settings: { foldAfter: { wide: 3 } } }]
        : [],
    );
    const page = await draw("", { ...demoPanel, rows });
    const facet = page.slice(page.indexOf('data-row="f-flower-colour"'));
    const values = (text: string) =>
      new Set([...text.matchAll(/name="flower-colour" value="([^"]+)"/g)].map(([, value]) => value));
    const told = Number(facet.match(/<summary class="zt-more">Show all ([\d]+)/)?.[1]);
    const rest = facet.slice(facet.indexOf('<details class="zt-rest">'), facet.indexOf("</details>"));
    expect(values(rest).size).toBe(told - 3);
    expect(values(facet.slice(0, facet.indexOf("</section>"))).size).toBe(told);
  });

  it("speaks another language throughout", async () => {
    const page = await draw("?light=shade", demoPanel, "de");
    expect(page.replace(/<\/?bdi>/g, "")).toContain(">77 Produkte von 240<");
    expect(page).toContain("Reihenfolge des Ladens");
    expect(page).not.toMatch(/Sort by|Basket|Welcome|Clear all|Nothing chosen/);
  });

  it("writes text as text", async () => {
    expect(await draw("")).toContain("Larkmoss &lt;Nursery>");
    expect(await draw("?q=<script>alert(1)</script>")).not.toContain("<script>alert");
  });

  it("leaves out facets whose field is gone, and never breaks down over them", async () => {
    const rows = demoPanel.rows.map((row) =>
      row.id === "f-light" && row.kind === "facet" ? { ...row, field: "moonlight" } : row,
    );
    const page = await draw("?moonlight=full", { ...demoPanel, rows });
    expect(page).not.toContain('data-row="f-light"');
    expect(page).toContain(">240 products<");
  });
});

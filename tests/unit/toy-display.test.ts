import { execFileSync, spawnSync } from "node:child_process";
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join, resolve } from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";

// A display, a placement and a piece that only this test knows, added to a copy of the sources as a newcomer would:
// each where CONTRIBUTING says, and nowhere else. The copy must compile, and a shop that uses all three must be checked,
// drawn, styled, counted, rehearsed and handed off.
const here = mkdtempSync(join(tmpdir(), "trellis-toy-display-"));

const put = (path: string, text: string) => {
  mkdirSync(dirname(join(here, path)), { recursive: true });
  writeFileSync(join(here, path), text);
};
/** Adds a line before another one, which must be there. */
const addLine = (path: string, before: string, line: string) => {
  const text = readFileSync(join(here, path), "utf8");
  expect([path, text.includes(before)]).toEqual([path, true]);
  put(
    path,
    text.replace(before, () => `${line}\n${before}`),
  );
};

const core = "src/core/displays";
const views = "src/storefront/panel/displays";

const addDisplay = () => {
  put(
    `${core}/ribbon.ts`,
    `import { type Display, optionSettings, type ShopFacts } from "./display.ts";
import { pointing } from "./interaction-cost.ts";

/** The first two options only. */
export const shopFacts: ShopFacts = { density: () => 4, offers: (ids) => ids.slice(0, 2) };

/** Two words on a ribbon. */
export const ribbon = {
  label: "Ribbon",
  modes: ["any", "one"],
  settings: optionSettings,
  hands: pointing,
  room: "rows",
  shop: shopFacts,
  parts: ["tile", "count"],
  specimen: { options: 2 },
  unsuited: ({ options }) => (options > 30 ? "Too many values for a ribbon. Check boxes suit them." : undefined),
} satisfies Display;
`,
  );
  put(
    `${views}/ribbon/view.tsx`,
    `import type { DisplayProps, DisplayView } from "../display-props.ts";
import { OptionList } from "../option-list.tsx";
import { Tile } from "../tiles/view.tsx";

const Ribbon = (props: DisplayProps) => <OptionList {...props} class="zt-ribbon" inRow Option={Tile} />;

export const view: DisplayView = { View: Ribbon, sheets: ["options.css", "tiles/tiles.css", "ribbon/ribbon.css"] };
`,
  );
  put(`${views}/ribbon/ribbon.css`, ".zt-ribbon {\n  --gap: 0;\n}\n");
  addLine(
    `${core}/displays.ts`,
    'import { searchField } from "./search-field.ts";',
    'import { ribbon } from "./ribbon.ts";',
  );
  addLine(`${core}/displays.ts`, "  swatches,", "  ribbon,");
};
const listFacts = () => {
  addLine(
    `${core}/shop-facts.ts`,
    'import { shopFacts as stars } from "./stars.ts";',
    'import { shopFacts as ribbon } from "./ribbon.ts";',
  );
  addLine(`${core}/shop-facts.ts`, "  stars,", "  ribbon,");
};
const listView = () => {
  addLine(
    `${views}/all.ts`,
    'import { view as slider } from "./slider/view.tsx";',
    'import { view as ribbon } from "./ribbon/view.tsx";',
  );
  addLine(`${views}/all.ts`, "  stars,", "  ribbon,");
};
const addPlacement = () => {
  const file = "src/core/settings/placement.ts";
  addLine(file, '  absent: { form: "hidden", apart: true },', '  banner: { form: "folded", slot: "header" },');
  addLine(
    file,
    '  absent: { label: "Hidden on this band", products: [1, 1, 38, 22] },',
    '  banner: { label: "Folded in the header", panel: [1, 1, 13, 6], products: [1, 9, 38, 14] },',
  );
};
const addPiece = () => {
  addLine(
    "src/core/panel/pieces.ts",
    '  divider: define({ label: "Divider"',
    `  note: define({
    label: "Note",
    schema: row("note").shape({ tone: oneOf(["calm", "loud"]) }),
    fresh: { label: "TODO", tone: "calm" },
    once: true,
    texts: ({ label }) => [label],
    differences: { tone: "speaks in a different tone" },
  }),`,
  );
  addLine(
    "src/storefront/panel/pieces.tsx",
    '  divider: () => <hr class="zt-divider" />,',
    "  note: ({ row, label }) => <p data-tone={row.tone}>{label}</p>,",
  );
};

/** What the shop with the three of them is like, asked in the copy. */
const script = `
import { createApp } from "./src/server/app.ts";
import { makeHandoff } from "./src/server/handoff/make.ts";
import { seedDemo } from "./src/server/seed.ts";
import { openDatabase } from "./src/server/store/database.ts";
import { listShops } from "./src/server/store/shops.ts";
import { wholeShop } from "./src/server/store/whole-shops.ts";
import { displayChoices } from "./src/core/panel/choose-display.ts";
import { partsOfFacet } from "./src/core/panel/look/parts-of.ts";
import { specimenRow } from "./src/core/panel/look/specimen.ts";
import { newPiece } from "./src/core/panel/pieces.ts";
import { fitsPage, placementPictures, placements } from "./src/core/settings/placement.ts";
import { displaySheets } from "./src/server/style-sheet.ts";
import { runTrellis } from "./src/cli/run.ts";

const orm = await openDatabase("shops.db");
await seedDemo(orm, ".");
const app = createApp({ orm, root: "." });
const headers = { host: "127.0.0.1", origin: "http://127.0.0.1", "content-type": "application/json" };
const ask = async (path, init = {}) => {
  const answer = await app.request("http://127.0.0.1" + path, { ...init, headers });
  if (!answer.ok) throw new Error(path + " " + answer.status + " " + (await answer.text()));
  return answer;
};
const at = "/api/shops/larkmoss-nursery";
const [shop] = await listShops(orm.em.fork());
const [{ slug, document: panel }] = (await wholeShop(orm.em.fork(), shop)).panels;
const light = panel.rows.find(({ field }) => field === "light");
const note = newPiece("note", "note");
const changed = {
  ...panel,
  placement: { wide: "banner" },
  rows: [{ ...light, display: { wide: "ribbon" } }, note, ...panel.rows.filter((row) => row !== light)],
};
const { version } = await (await ask(at + "/documents/panel/" + slug)).json();
await ask(at + "/documents/panel/" + slug, { method: "PUT", body: JSON.stringify({ version, document: changed }) });
const page = await (await ask("/draft/larkmoss-nursery/")).text();
const differences = JSON.stringify(await (await ask(at + "/differences?from=1&to=draft")).json());
const whole = await wholeShop(orm.em.fork(), shop);
const { files } = await makeHandoff(whole, { pages: ["/"] });
const text = (start) => new TextDecoder().decode([...files].find(([path]) => path.startsWith(start))[1]);
await orm.close(true);
await runTrellis(["export", "--shop", "larkmoss-nursery", "--out", "folder", "--data", "shops.db"]);
const checked = await runTrellis(["check", "folder"]);
const rehearsed = await runTrellis(["rehearse", "folder", "--page", "/", "--shoppers", "50"]);
const facet = /<section[^>]*data-row="f-light"[^]*?<\\/section>/.exec(page)?.[0] ?? "";
console.log(JSON.stringify({
  choice: displayChoices({ options: 3, field: { kind: "text" } }).find(({ name }) => name === "ribbon"),
  parts: partsOfFacet({ display: { wide: "ribbon" } }).slice(0, 2),
  specimen: specimenRow("ribbon").mode,
  sheets: displaySheets(["ribbon"]),
  drawn: [facet.includes("zt-ribbon"), (facet.match(/<input/g) ?? []).length],
  note: [page.includes('data-piece="note"'), page.includes('<p data-tone="calm">TODO</p>')],
  banner: /<details class="zt-folded"[^>]*data-placement="banner"/.test(page),
  placements: [placements.includes("banner"), placementPictures.banner.label, fitsPage("banner", { isArticle: true, listing: false })],
  differences: ["Ribbon", "ribbon", "TODO", "banner"].filter((one) => differences.includes(one)),
  handoff: [text("pages/index").includes("zt-ribbon"), [...files].some(([path, bytes]) => path.endsWith(".js") && new TextDecoder().decode(bytes).includes("zt-ribbon")), [...files].some(([path, bytes]) => path.endsWith(".css") && new TextDecoder().decode(bytes).includes(".zt-ribbon"))],
  placeholder: checked.out.includes("placeholder text “TODO”"),
  rehearsed: rehearsed.status,
}));
`;

const compile = () => {
  const { status, stdout } = spawnSync("npx", ["tsc", "-p", "tsconfig.json"], { cwd: here, encoding: "utf8" });
  return status === 0 ? "" : stdout;
};

beforeAll(() => {
  for (const folder of ["src", "demo"])
    cpSync(folder, join(here, folder), { recursive: true, filter: (from) => !/\.test\.tsx?$|screenshots/.test(from) });
  for (const file of ["package.json", "tsconfig.base.json", "tsconfig.json", "vite.handoff.config.ts"])
    cpSync(file, join(here, file));
  symlinkSync(resolve("node_modules"), join(here, "node_modules"));
});
afterAll(() => rmSync(here, { recursive: true, force: true }));

describe("a display, a placement and a piece by their definitions", () => {
  it("are named by the compiler until they are whole", () => {
    addDisplay();
    const lacking = compile();
    expect(lacking).toMatch(/shop-facts\.ts.*ribbon/);
    expect(lacking).toMatch(/displays\/all\.ts.*ribbon/);
    listFacts();
    listView();
    addPlacement();
    addPiece();
    expect(compile()).toBe("");
  }, 300_000);

  it("are checked, drawn, styled, counted, told apart, rehearsed and handed off", () => {
    put("toy.mts", script);
    const said = execFileSync("npx", ["tsx", "toy.mts"], { cwd: here, encoding: "utf8", maxBuffer: 2 ** 26 });
    expect(JSON.parse(said.trim().split("\n").at(-1) ?? "")).toEqual({
      choice: { name: "ribbon", label: "Ribbon" },
      parts: ["tile", "count"],
      specimen: "any",
      sheets: ["options", "tiles/tiles", "ribbon/ribbon"].map((name) => `panel/displays/${name}.css`),
      // Three options have products, and the display offers two.
      drawn: [true, 2],
      note: [true, true],
      banner: true,
      placements: [true, "Folded in the header", true],
      differences: ["ribbon", "TODO", "banner"],
      handoff: [true, true, true],
      placeholder: true,
      rehearsed: 0,
    });
  }, 300_000);
});

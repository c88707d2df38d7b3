import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { demoPages } from "../../../../demo/pages.ts";
import { demoAside, demoPanel, demoQuestions } from "../../../../demo/panel.ts";
import { readCatalogue } from "../../catalogue/read.ts";
import { edited } from "../../document/edit.ts";
import { CatalogueIndex } from "../../engine/index/catalogue-index.ts";
import { placePanel, setBars, setLayout } from "../../page/edit.ts";
import type { PagesDocument } from "../../page/pages-schema.ts";
import { setBehaviour, setMode } from "../../panel/edit.ts";
import { facetRows } from "../../panel/panel.ts";
import type { PanelDocument } from "../../panel/panel-schema.ts";
import { LocalFacts } from "../../profile/local-facts.ts";
import { pageFigures } from "./figures.ts";

const facts = new LocalFacts(new CatalogueIndex(readCatalogue(readFileSync("demo/nursery.csv")).catalogue));
const demo = new Map([
  ["climber-finder", demoPanel],
  ["three-questions", demoQuestions],
  ["beside-the-text", demoAside],
]);

/** The findings of a page, as “kind: words”. */
async function found(
  address: string,
  pages: PagesDocument = demoPages,
  panels: ReadonlyMap<string, PanelDocument> = demo,
): Promise<string[]> {
  const figures = await pageFigures(facts, address, pages, panels);
  return (figures?.findings ?? []).map(({ kind, words }) => `${kind}: ${words}`);
}

const kinds = (lines: readonly string[]) => [...new Set(lines.map((line) => line.split(":")[0]))];

describe("pages in numbers", () => {
  it("tell what each facet offers there, of what it has in the shop", async () => {
    const figures = await pageFigures(facts, "/categories/pots", demoPages, demo);
    const light = figures?.facets.find(({ field }) => field === "light");
    const size = figures?.facets.find(({ field }) => field === "pot-size");
    expect(figures?.products).toBe(38);
    expect(light).toMatchObject({ reach: 0, options: 0, left: 3 });
    expect(size?.options).toBeGreaterThan(0);
    expect(figures?.facets.find(({ field }) => field === "price")?.options).toBeUndefined();
    expect(await pageFigures(facts, "/none", demoPages, demo)).toBeUndefined();
  });
});

describe("findings about pages", () => {
  it("are none of the serious ones in the demo", async () => {
    const serious = ["empty-page", "address-twice", "condition-gone", "panel-gone", "sends-nowhere", "unreached-slot"];
    for (const address of ["/", "/collections/gifts", "/articles/plants-and-pets", "/articles/choosing-a-climber"])
      for (const kind of kinds(await found(address))) expect(serious).not.toContain(kind);
  });

  it("tell of facets that are not there or reach few, with the numbers of the page", async () => {
    const lines = await found("/categories/pots");
    expect(lines).toContain(
      "facet-not-here: Light: no product of this page (38 in all) has any of its options, so it is not shown here.",
    );
    const reach = (await found("/collections/gifts")).filter((line) => line.startsWith("low-reach-here"));
    // Two panels ask for the flower colour there, and it is told once.
    expect(reach.filter((line) => line.includes("Flower colour"))).toEqual([
      "low-reach-here: The options of Flower colour find 15 of the 32 products of this page; the other 17 disappear once it is used.",
    ]);
  });

  it("tell of links that lead nowhere: in texts, pictures and the menu", async () => {
    const html =
      '<p><a href="/collections/gone?light=shade">x</a> <a href="/collections/gifts">y</a> <a href="https://x.example/">z</a></p>';
    const rows = [
      ...demoPanel.rows,
      { kind: "piece" as const, piece: "text" as const, id: "t", label: "", html },
      { kind: "piece" as const, piece: "picture" as const, id: "p", label: "", src: "", href: "/articles/gone" },
    ];
    const pages = { ...demoPages, menu: [...demoPages.menu, { id: "m", label: "Gone", to: "/brands/gone" }] };
    const panels = new Map(demo).set("climber-finder", { ...demoPanel, rows });
    const lines = async (address: string) =>
      (await found(address, pages, panels)).flatMap(
        (line) => /^link-nowhere: (.+) links to (\S+),/.exec(line)?.slice(1).join(" ") ?? [],
      );
    expect(await lines("/")).toEqual([
      "“Climber finder” /collections/gone?light=shade",
      "“Climber finder” /articles/gone",
      "The shop’s menu /brands/gone",
    ]);
    expect((await found("/")).filter((line) => line.startsWith("link-nowhere"))).toEqual([]);
  });

  it("tell of empty pages, fields that are gone, and two pages at one address", async () => {
    const [first] = demoPages.collections;
    if (!first) throw new Error("The demo has collections.");
    const of = {
      by: "conditions" as const,
      join: "all" as const,
      conditions: [{ field: "moonlight", options: ["x"] }],
    };
    const gone = { ...demoPages, collections: [{ ...first, of }] };
    expect(kinds(await found("/collections/on-sale", gone))).toEqual(["empty-page", "condition-gone"]);
    const standing = edited(demoPages, setLayout({ kind: "brand" }, { within: of.conditions }, ""));
    expect(kinds(await found("/brands/wickwillow", standing))).toContain("condition-gone");
    const clash = {
      ...demoPages,
      collections: [...demoPages.collections, { ...first, id: "x", slug: "hardiness-h4-hardy" }],
    };
    expect(kinds(await found("/collections/hardiness-h4-hardy", clash))).toContain("address-twice");
  });

  it("tell of panels that are gone, or stand where the page has no place for them", async () => {
    const missing = edited(demoPages, placePanel({ address: "/" }, [], "none-such", undefined, ""));
    expect(kinds(await found("/", missing))).toContain("panel-gone");
    const inText = edited(demoPages, placePanel({ address: "/" }, [], "beside-the-text", undefined, ""));
    expect(await found("/", inText)).toContainEqual(
      expect.stringMatching(/^unreached-slot: “Beside the text”.*not an article/),
    );
    const beside = edited(
      demoPages,
      placePanel({ address: "/articles/plants-and-pets" }, [], "climber-finder", undefined, ""),
    );
    expect(await found("/articles/plants-and-pets", beside)).toContainEqual(
      expect.stringMatching(/^unreached-slot: .*on wide and medium and slim: the article lists no products/),
    );
  });

  it("tell of a phone without any panel, where no other panel is there, with the step that puts it into a drawer", async () => {
    const [own, there] = ["a", "b"].map((name) => ({ ...demoPanel, name, placement: { wide: "left" as const } }));
    if (!own || !there) throw new Error("There are two panels.");
    const absent = { ...own, placement: { wide: "left" as const, slim: "absent" as const } };
    const standing = (...panels: string[]) =>
      edited(demoPages, setLayout({ address: "/" }, { panels: panels.map((panel) => ({ panel })) }, ""));
    const told = async (pages: PagesDocument, panels: ReadonlyMap<string, PanelDocument>) =>
      ((await pageFigures(facts, "/", pages, panels))?.findings ?? []).filter(({ kind }) => kind === "no-phone-panel");
    const both = new Map([
      ["a", absent],
      ["b", there],
    ]);
    const [finding] = await told(standing("a"), both);
    expect([finding?.words, finding?.remedy?.step]).toEqual([
      "On a phone this page has no panel at all.",
      { do: "place", band: "slim", placement: "drawer" },
    ]);
    expect(await told(standing("a", "b"), both)).toEqual([]);
    expect(await told(standing("b"), both)).toEqual([]);
  });

  it("tell of one field that is asked in two ways", async () => {
    const [light] = facetRows(demoQuestions);
    if (!light) throw new Error("The questions begin with light.");
    const other = new Map([...demo, ["three-questions", edited(demoQuestions, setMode(light, "all", ""))]]);
    expect(kinds(await found("/collections/gifts", demoPages, other))).toContain("asked-two-ways");
    expect(kinds(await found("/collections/gifts"))).not.toContain("asked-two-ways");
  });

  it("tell of choices that are taken nowhere, back again, or where nobody asks the same", async () => {
    const sending = (to: string, panel = demoAside) =>
      new Map([...demo, ["beside-the-text", edited(panel, setBehaviour("sendTo", to))]]);
    const at = (panels: ReadonlyMap<string, PanelDocument>) => found("/articles/plants-and-pets", demoPages, panels);
    expect(await at(sending("/none"))).toContainEqual(expect.stringMatching(/^sends-nowhere: .*doesn’t exist/));
    expect(await at(sending("/articles/plants-and-pets"))).toContainEqual(expect.stringMatching(/already on/));
    expect(kinds(await at(sending("/articles/choosing-a-climber")))).not.toContain("sends-nowhere");
    expect(await at(sending(""))).toContainEqual(expect.stringMatching(/show nothing/));
    const strange = { ...demoAside, rows: facetRows(demoPanel).filter(({ field }) => field === "mature-height") };
    expect(await at(sending("/articles/choosing-a-climber", strange))).toContainEqual(
      expect.stringMatching(/no panel there has mature-height, so those choices would be lost/),
    );
    const back = new Map([
      ...sending("/collections/gifts"),
      ["three-questions", edited(demoQuestions, setBehaviour("sendTo", "/articles/plants-and-pets"))],
    ]);
    expect(await at(back)).toContainEqual(expect.stringMatching(/sends them back here/));
  });

  it("tell of bars and offsets that leave little of the screen", async () => {
    const tall = edited(
      demoPages,
      setBars([{ id: "a", name: "A", height: { wide: 390, slim: 60 }, stays: { wide: true } }], ""),
    );
    const lines = await found("/", tall);
    expect(lines).toContain("tall-bars: On wide the fixed bars cover 390 of 800 px of the screen.");
    const nudged = (px: number) =>
      new Map([...demo, ["climber-finder", edited(demoPanel, setBehaviour("nudge", px, "wide"))]]);
    expect(await found("/", demoPages, nudged(400))).toContainEqual(
      expect.stringMatching(/^tall-offset: .*492 px below the top on wide, which leaves 308 of 800 px for it/),
    );
    expect(await found("/", demoPages, nudged(-200))).toContainEqual(expect.stringMatching(/108 px above the top/));
    expect(kinds(await found("/", demoPages, nudged(-4)))).not.toContain("tall-offset");
  });
});

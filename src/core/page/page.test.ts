import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { demoPages } from "../../../demo/pages.ts";
import { readCatalogue } from "../catalogue/read.ts";
import { edited, patched, perform } from "../document/edit.ts";
import { checkDocument } from "../document/kind.ts";
import { countsOf } from "../engine/engine.ts";
import { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import { LocalFacts } from "../profile/local-facts.ts";
import { orderOf } from "./browse-state/browse-state.ts";
import {
  addArticle,
  addCollection,
  movePanelUp,
  placePanel,
  removeArticle,
  removeCollection,
  removePanelFromPage,
  resetLayout,
  setArticle,
  setBars,
  setCollection,
  setLayout,
  setMenu,
  setSearch,
} from "./edit.ts";
import { pagesKind } from "./kind.ts";
import { pageList, productAddress, productAt } from "./page-list.ts";
import { defaultPages, firstPageOf, shownPage } from "./shown-page.ts";

const facts = new LocalFacts(new CatalogueIndex(readCatalogue(readFileSync("demo/nursery.csv")).catalogue));
const at = (address: string, pages = demoPages, first: string | undefined = "climber-finder") =>
  shownPage(address, pages, facts.pageFacts(), first);
const total = (address: string, pages = demoPages) =>
  facts.ask(countsOf([], undefined, at(address, pages)?.within)).total;

describe("pages", () => {
  it("are there for the shop, its collections, every value of the catalogue, search and articles", () => {
    const list = pageList(demoPages, facts.pageFacts());
    const addresses = list.map(({ address }) => address);
    expect(new Set(addresses).size).toBe(addresses.length);
    for (const address of [
      "/",
      "/collections/on-sale",
      "/collections/hardiness-h4-hardy",
      "/categories/plants",
      "/categories/plants/climbers/clematis",
      "/brands/fennimore-daughters",
      "/tags/bees-love-it",
      "/search",
      "/articles/plants-and-pets",
    ])
      expect(addresses).toContain(address);
    for (const { address } of list) expect(at(address)?.address).toBe(address);
    expect(at("/collections/hardiness")).toBeUndefined();
    expect(at("/categories/climbers")).toBeUndefined();
  });

  it("hold the products that their conditions say", () => {
    const within = (address: string) => total(address);
    expect(within("/")).toBe(240);
    expect(within("/collections/our-favourites")).toBe(10);
    const levels = facts.index.options("category", true);
    const place = levels.at.get("plants > climbers") ?? 0;
    expect(within("/categories/plants/climbers")).toBe(
      facts.ask(countsOf([{ field: "category", mode: "tree" }])).facets.category?.counts.steady[place],
    );
    // Any of two tags is at least each of them, and no more than both together.
    const [scented, bees, either] = ["/tags/scented", "/tags/bees-love-it", "/collections/scent-and-bees"].map(within);
    expect(either).toBeGreaterThan(Math.max(scented ?? 0, bees ?? 0));
    expect(either).toBeLessThanOrEqual((scented ?? 0) + (bees ?? 0));
  });

  it("stand in the order that they say: as picked, by a field, or as shoppers can choose", () => {
    const ids = (address: string) => {
      const page = at(address);
      const sort = page ? orderOf({ sort: "" }, page.order, page.layout.sorts) : "";
      return facts.ask({ ...countsOf([], undefined, page?.within), sort, size: 10 }).products.map(({ id }) => id);
    };
    const favourites = demoPages.collections.find(({ slug }) => slug === "our-favourites");
    expect(favourites?.of.by === "hand" && favourites.of.products).toEqual(ids("/collections/our-favourites"));
    const prices = facts
      .ask({ ...countsOf([], undefined, at("/collections/on-sale")?.within), sort: "price", size: 10 })
      .products.map(({ id }) => id);
    expect(ids("/collections/on-sale")).toEqual(prices);
    expect(orderOf({ sort: "-price" }, "price", [])).toBe("-price");
    expect(orderOf({ sort: "" }, "price", [{ sort: "rating" }])).toBe("rating");
  });

  it("say the way down to them", () => {
    expect(at("/categories/plants/climbers/clematis")?.crumbs).toEqual([
      { name: "", to: "/" },
      { name: "Plants", to: "/categories/plants" },
      { name: "Climbers", to: "/categories/plants/climbers" },
    ]);
  });

  it("of a kind without a say have the shop's first panel, where products are listed", () => {
    const pages = pagesKind.fresh("");
    expect(at("/", pages)?.layout.panels).toEqual([{ panel: "climber-finder" }]);
    expect(at("/articles/choosing-a-climber", { ...pages, articles: demoPages.articles })?.layout.panels).toEqual([]);
    expect(at("/", pages, "")?.layout.size).toBe(24);
  });

  it("leave out a standing condition over a field that is gone, where a collection by one is empty", () => {
    const gone = [{ field: "moonlight", options: ["full"] }];
    expect(total("/", edited(demoPages, setLayout({ kind: "shop" }, { within: gone }, "")))).toBe(240);
    const collection = { id: "c", slug: "c", name: "C", names: undefined, html: "", order: "" };
    const of = { by: "conditions" as const, join: "all" as const, conditions: gone };
    expect(total("/collections/c", edited(demoPages, addCollection({ ...collection, of })))).toBe(0);
  });

  it("lead to products by their ids, whatever these are made of", () => {
    for (const id of ["LM001", "a b/c?d#e", "größe 9 €", "100%"]) expect(productAt(productAddress({ id }))).toBe(id);
    expect(productAddress({ id: "LM001", variant: 2 })).toBe("/products/LM001?variant=3");
    expect(productAt("/categories/plants")).toBeUndefined();
  });
});

describe("edits of pages", () => {
  const panels = (pages: typeof demoPages, address: string) => at(address, pages)?.layout.panels;

  it("stand a panel on a kind, or on one page that can be given back", () => {
    const none = panels(demoPages, "/brands/wickwillow") ?? [];
    const all = edited(demoPages, placePanel({ kind: "brand" }, none, "three-questions", { wide: "above" }, ""));
    expect(panels(all, "/brands/wickwillow")).toEqual([
      { panel: "climber-finder" },
      { panel: "three-questions", at: { wide: "above" } },
    ]);
    const one = edited(
      all,
      removePanelFromPage(
        { address: "/brands/wickwillow" },
        panels(all, "/brands/wickwillow") ?? [],
        "climber-finder",
        "",
      ),
    );
    expect(panels(one, "/brands/wickwillow")).toEqual([{ panel: "three-questions", at: { wide: "above" } }]);
    expect(panels(one, "/brands/brackenrow")).toEqual(panels(all, "/brands/brackenrow"));
    expect(edited(one, resetLayout("/brands/wickwillow", ""))).toEqual(all);
    expect(() => checkDocument(pagesKind, one)).not.toThrow();
  });

  it("put panels in another order, and let single members follow again", () => {
    const [first = { panel: "" }, second = { panel: "" }] = panels(demoPages, "/collections/gifts") ?? [];
    const scope = { address: "/collections/gifts" };
    const turned = edited(demoPages, movePanelUp(scope, [first, second], second.panel, ""));
    expect(panels(turned, scope.address)?.map(({ panel }) => panel)).toEqual([second.panel, first.panel]);
    // The first stays the first.
    const again = edited(turned, movePanelUp(scope, [second, first], second.panel, ""));
    expect(panels(again, scope.address)?.map(({ panel }) => panel)).toEqual([second.panel, first.panel]);
    const follows = edited(demoPages, setLayout(scope, { form: undefined, table: undefined }, ""));
    expect(at(scope.address, follows)?.layout.form).toEqual({ wide: "grid" });
    expect(at(scope.address, follows)?.layout.picture).toBe(64);
  });

  it("change articles, menu, bars and search, each in one step that can be undone", () => {
    const [article] = demoPages.articles;
    if (!article) throw new Error("The demo has articles.");
    for (const edit of [
      setArticle({ ...article, title: "Other" }, ""),
      addArticle({ ...article, id: "new", slug: "new" }),
      removeArticle(article),
      setMenu([], ""),
      setBars([], ""),
      setSearch([{ field: "light", weight: 9 }], ""),
      setCollection({ ...(demoPages.collections[0] as (typeof demoPages.collections)[number]), slug: "gifts" }, ""),
    ]) {
      const change = perform(demoPages, edit);
      expect(() => checkDocument(pagesKind, change?.document)).not.toThrow();
      expect(change && patched(change.document, change.inverse)).toEqual(demoPages);
    }
    // A collection that would take another's address gets one beside it.
    const clash = edited(
      demoPages,
      setCollection({ ...(demoPages.collections[0] as (typeof demoPages.collections)[number]), slug: "gifts" }, ""),
    );
    expect(clash.collections[0]?.slug).toBe("gifts-2");
    const searched = edited(demoPages, setSearch([{ field: "light", weight: 9 }], ""));
    expect(edited(searched, setSearch(undefined, "")).search).toBeUndefined();
  });

  it("know the first page on which a panel stands", () => {
    expect(firstPageOf("climber-finder", demoPages, "climber-finder")).toBe("/");
    expect(firstPageOf("three-questions", demoPages, "climber-finder")).toBe("/collections/gifts");
    expect(firstPageOf("beside-the-text", demoPages, "climber-finder")).toBe("/articles/plants-and-pets");
    expect(firstPageOf("nowhere", demoPages, "climber-finder")).toBe("/");
  });

  it("know where the shop's first panel stands because nothing else is said", () => {
    const list = pageList(demoPages, facts.pageFacts());
    const usual = defaultPages(list, demoPages).map(({ address }) => address);
    expect(usual).toContain("/");
    // An article has no usual panel, and the gifts have others.
    for (const other of ["/articles/choosing-a-climber", "/collections/gifts"]) expect(usual).not.toContain(other);
    const bare = edited(demoPages, setLayout({ kind: "shop" }, { panels: [] }, "Nothing on the page of all products"));
    expect(defaultPages(list, bare).map(({ address }) => address)).toEqual(usual.filter((one) => one !== "/"));
  });

  it("keep addresses apart", () => {
    const gifts = demoPages.collections.find(({ slug }) => slug === "gifts");
    if (!gifts) throw new Error("The demo has gifts.");
    const twice = edited(demoPages, addCollection(gifts));
    expect(twice.collections.at(-1)).toMatchObject({ slug: "gifts-2" });
    expect(edited(twice, removeCollection(twice.collections.at(-1) ?? gifts))).toEqual(demoPages);
    const clash = { ...demoPages, collections: [...demoPages.collections, { ...gifts, id: "other" }] };
    expect(() => checkDocument(pagesKind, clash)).toThrow(
      /collections\[8\].slug is already used by a different page: “gifts”/,
    );
  });

  it("refuse text that could run, links that could run, and addresses that are none", () => {
    const [first] = demoPages.collections;
    const hostile = (change: object) => ({ ...demoPages, collections: [{ ...first, ...change }] });
    expect(() => checkDocument(pagesKind, hostile({ html: "<img src=x onerror=alert(1)>" }))).toThrow(/isn’t allowed/);
    expect(() => checkDocument(pagesKind, hostile({ slug: "../x" }))).toThrow(/small letters/);
    const menu = [{ id: "x", label: "X", to: "javascript:alert(1)" }];
    expect(() => checkDocument(pagesKind, { ...demoPages, menu })).toThrow(/must begin with/);
    expect(checkDocument(pagesKind, demoPages)).toEqual(demoPages);
  });
});

import { expect, test } from "vitest";
import { setArticle, setCollection } from "./edit.ts";
import { isSlugOf, slugOf } from "./move-address.ts";
import type { Collection, PagesDocument } from "./pages-schema.ts";

const gifts: Collection = {
  id: "c1",
  slug: "gifts",
  name: "Gifts",
  names: undefined,
  html: "",
  of: { by: "hand", products: [] },
  order: "",
};

const pages = (): PagesDocument => ({
  format: 1,
  collections: [gifts, { ...gifts, id: "c2", slug: "gifts-for-two" }],
  articles: [
    {
      id: "a1",
      slug: "größen",
      title: "Größen",
      titles: undefined,
      html: '<p><a href="/collections/gifts?size=l">Gifts</a> <a href="/collections/gifts-for-two">Two</a> <a href="/articles/gr%C3%B6%C3%9Fen">here</a></p>',
    },
  ],
  layouts: {} as PagesDocument["layouts"],
  exceptions: {
    "/collections/gifts": { size: 12 },
    "/collections/gifts-for-two": { size: 24 },
    "/articles/größen": { listing: true },
  },
  bars: [],
  menu: [{ id: "m1", label: "Gifts", labels: undefined, to: "/collections/gifts" }],
  search: undefined,
});

test("what is set for a collection, and the links to it, move along with its address", () => {
  const moved = pages();
  setCollection({ ...gifts, slug: "presents" }, "at presents").change(moved);
  expect(moved.exceptions).toEqual({
    "/collections/presents": { size: 12 },
    "/collections/gifts-for-two": { size: 24 },
    "/articles/größen": { listing: true },
  });
  expect(moved.menu[0]?.to).toBe("/collections/presents");
  expect(moved.articles[0]?.html).toContain('"/collections/presents?size=l"');
  expect(moved.articles[0]?.html).toContain('"/collections/gifts-for-two"');
});

test("the pages of a collection per value move too", () => {
  const moved = pages();
  const perValue: Collection = { ...gifts, of: { by: "value", field: "brand" } };
  moved.collections[0] = perValue;
  moved.exceptions["/collections/gifts-zebra"] = { size: 36 };
  setCollection({ ...perValue, slug: "from" }, "at from").change(moved);
  expect(Object.keys(moved.exceptions)).toContain("/collections/from-zebra");
  // A collection of its own, whose address only begins alike.
  expect(Object.keys(moved.exceptions)).toContain("/collections/gifts-for-two");
});

test("a page takes a free address, and what was set for it goes there", () => {
  const moved = pages();
  setCollection({ ...gifts, slug: "gifts-for-two" }, "at gifts-for-two").change(moved);
  expect(moved.collections[0]?.slug).toBe("gifts-for-two-2");
  expect(moved.exceptions["/collections/gifts-for-two-2"]).toEqual({ size: 12 });
  expect(moved.exceptions["/collections/gifts-for-two"]).toEqual({ size: 24 });
});

test("an article's own text follows, in whichever way its links are written", () => {
  const moved = pages();
  const [article] = moved.articles;
  if (!article) throw new Error("no article");
  setArticle({ ...article, slug: "sizes" }, "at sizes").change(moved);
  expect(moved.exceptions["/articles/sizes"]).toEqual({ listing: true });
  expect(moved.articles[0]?.html).toContain('"/articles/sizes"');
});

test("an address that its name gives is told from a typed one", () => {
  expect(slugOf("Gifts for Äffchen!")).toBe("gifts-for-affchen");
  expect(isSlugOf("collection-3", "Collection 3")).toBe(true);
  expect(isSlugOf("gifts-2", "Gifts")).toBe(true);
  expect(isSlugOf("presents", "Gifts")).toBe(false);
});

import { describe, expect, it } from "vitest";
import type { PageRef } from "../../core/page/page-list.ts";
import { moved, replaced, withoutEntry } from "../controls/lists.ts";
import { rowKey, tableRows } from "./table-rows.ts";

const pages: PageRef[] = [
  { address: "/", kind: "shop", name: "" },
  { address: "/collections/a", kind: "collection", name: "A" },
  { address: "/collections/b", kind: "collection", name: "B" },
  { address: "/search", kind: "search", name: "" },
];
const spoken = (rows: ReturnType<typeof tableRows>) => rows.map(rowKey);

describe("rows of the table of pages", () => {
  it("are each kind with its pages below it, and below a page what it unfolds to", () => {
    expect(spoken(tableRows(pages, () => true, new Set(["/collections/a"])))).toEqual([
      "kind shop",
      "page /",
      "kind collection",
      "page /collections/a",
      "detail /collections/a",
      "page /collections/b",
      "kind search",
      "page /search",
    ]);
  });

  it("leave out what does not fit a search, and kinds with nothing left; a kind still says how many it has", () => {
    const rows = tableRows(pages, ({ name }) => name === "B", new Set());
    expect(spoken(rows)).toEqual(["kind collection", "page /collections/b"]);
    expect(rows[0]).toMatchObject({ pages: 2 });
  });
});

describe("short lists", () => {
  it("are moved, changed and shortened withoutEntry touching the list that was", () => {
    const list = ["a", "b", "c"];
    expect([moved(list, 0, 2), moved(list, 2, 0), moved(list, 1, 1)]).toEqual([
      ["b", "c", "a"],
      ["c", "a", "b"],
      ["a", "b", "c"],
    ]);
    expect([replaced(list, 1, "x"), withoutEntry(list, 0)]).toEqual([
      ["a", "x", "c"],
      ["b", "c"],
    ]);
    expect(list).toEqual(["a", "b", "c"]);
  });
});

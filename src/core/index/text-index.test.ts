import { describe, expect, it } from "vitest";
import { readCatalogue } from "../catalogue/read.ts";
import { toIds } from "./bitmap.ts";
import { TextIndex } from "./text-index.ts";
import { words } from "./words.ts";

const csv = `product_id,title,brand,category,tags
a,Crème rose,Old Quay,Plants > Climbing roses,new
b,Rosehip hedge,Tansy Hill,Plants > Hedges,
c,Hedge shears,Old Quay,Tools,new|gift
`;
const index = new TextIndex(readCatalogue(new TextEncoder().encode(csv)).catalogue);
const found = (query: string) => Array.from(toIds(index.search(query) ?? new Uint32Array(1)), (p) => "abc"[p]).join("");

describe("text search", () => {
  it("folds case and diacritics, wants every word, and takes the last as a beginning", () => {
    expect(words("Crème-ROSE 9cm")).toEqual(["creme", "rose", "9cm"]);
    expect(found("creme")).toBe("a");
    expect(found("ROSE")).toBe("ab");
    expect(found("rose hedge")).toBe("");
    expect(found("hedge ros")).toBe("b");
    expect(found("quay new")).toBe("ac");
    expect(found("nothing")).toBe("");
    expect(index.search("  ")).toBeUndefined();
  });
});

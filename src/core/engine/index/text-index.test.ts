import MiniSearch from "minisearch";
import Papa from "papaparse";
import { describe, expect, it } from "vitest";
import { airportsCsv } from "../../../../tests/open-data.ts";
import { readCatalogue } from "../../catalogue/read.ts";
import { toIds } from "./bitmap.ts";
import { TextIndex, weightOf } from "./text-index.ts";
import { words } from "./words.ts";

const csv = `product_id,title,brand,category,tags,author,description
a,Crème rose,Old Quay,Plants > Climbing roses,new,Iris Moor,Smells of the sea
b,Rosehip hedge,Tansy Hill,Plants > Hedges,,Rose Field,A hedge for wind
c,Hedge shears,Old Quay,Tools,new|gift,Iris Moor,Cut roses with them
`;
const { catalogue } = readCatalogue(new TextEncoder().encode(csv));
const index = new TextIndex(catalogue);
type Given = Parameters<TextIndex["search"]>[1];
const found = (query: string, given?: Given) =>
  Array.from(toIds(index.search(query, given) ?? new Uint32Array(1)), (p) => "abc"[p]).join("");

describe("text search", () => {
  it("folds case and diacritics, wants every word, and takes the last as a beginning", () => {
    expect(words("Crème-ROSE 9cm")).toEqual(["creme", "rose", "9cm"]);
    expect(found("creme")).toBe("a");
    expect(found("ROSE")).toBe("ab");
    expect(found("rose hedge")).toBe("b");
    expect(found("hedge ros")).toBe("b");
    expect(found("quay new")).toBe("ac");
    expect(found("nothing")).toBe("");
    expect(index.search("  ")).toBeUndefined();
  });

  it("goes over any field that has words, but over descriptions only where they weigh something", () => {
    expect(found("iris")).toBe("ac");
    expect(found("sea")).toBe("");
    expect(found("sea", [{ field: "description", weight: 1 }])).toBe("a");
    expect(found("iris", [{ field: "author", weight: 0 }])).toBe("");
    const author = catalogue.fields.find(({ key }) => key === "author");
    expect(author && [weightOf(author), weightOf(author, [{ field: "author", weight: 9 }])]).toEqual([1, 9]);
  });

  it("fits better where a heavier field has the word, and the whole word better than its beginning", () => {
    const scores = (query: string, given?: Given) => [...index.relevance(query, given)];
    const [a = 0, b = 0, c = 0] = scores("rose");
    // The title of a has the very word; of b only a beginning, and its author the word.
    expect(a).toBeGreaterThan(b);
    expect([b > 0, c]).toEqual([true, 0]);
    const [, byAuthor = 0] = scores("rose", [{ field: "author", weight: 20 }]);
    expect(byAuthor).toBeGreaterThan(a);
    expect(scores("")).toEqual([0, 0, 0]);
  });

  it("finds near spellings that find something", () => {
    expect(index.near("hegde")).toEqual(["hedge"]);
    expect(index.near("hegde shears")).toEqual(["hedge shears"]);
    expect(index.near("rose")).toEqual([]);
    expect(index.near("xyzzy")).toEqual([]);
  });
});

// Source: minisearch, an independent full-text library (npm), over the airports of vega-datasets (npm).
describe("over an open data set", () => {
  const rows = Papa.parse<Record<string, string>>(airportsCsv, { header: true, skipEmptyLines: true }).data;
  const ours = new TextIndex(
    readCatalogue(
      new TextEncoder().encode(
        Papa.unparse(rows.map(({ iata, name, city }) => ({ product_id: iata, title: name, city }))),
      ),
    ).catalogue,
  );
  const theirs = new MiniSearch<Record<string, string>>({
    idField: "iata",
    fields: ["name", "city"],
    tokenize: words,
    processTerm: (term) => term,
  });
  theirs.addAll(rows);

  it.each(["san", "municipal", "county air", "st paul", "international f", "new york", "o hare", "zzz"])(
    "finds what an independent library finds for “%s”",
    (query) => {
      const last = words(query).length - 1;
      const expected = theirs
        .search(query, { combineWith: "AND", fuzzy: false, prefix: (_term, at) => at === last })
        .map(({ id }) => String(id))
        .sort();
      const mine = Array.from(toIds(ours.search(query) ?? new Uint32Array()), (p) => rows[p]?.iata ?? "").sort();
      expect(mine).toEqual(expected);
    },
  );
});

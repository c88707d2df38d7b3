import { describe, expect, it } from "vitest";
import { columnsOf } from "./json-columns.ts";

const columns = (...objects: Record<string, unknown>[]) => columnsOf(objects).map((row) => Object.fromEntries(row));

describe("columns of nested JSON", () => {
  it("are those of inner objects with the same keys", () => {
    expect(
      columns({ name: { common: "Aruba", official: "Aruba" } }, { name: { common: "Chad", official: "Tchad" } }),
    ).toEqual([
      { "name.common": "Aruba", "name.official": "Aruba" },
      { "name.common": "Chad", "name.official": "Tchad" },
    ]);
  });

  it("are lists of values where each object has keys of its own", () => {
    expect(
      columns(
        { languages: { nld: "Dutch", pap: "Papiamento" }, currencies: { AWG: { name: "florin", symbol: "ƒ" } } },
        { languages: { fra: "French" }, currencies: { XAF: { name: "franc", symbol: "Fr" } } },
        { languages: { eng: "English" }, currencies: [] },
      ),
    ).toEqual([
      { languages: "Dutch|Papiamento", currencies: "florin" },
      { languages: "French", currencies: "franc" },
      { languages: "English", currencies: "" },
    ]);
  });

  it("keep what is too large, or not always an object, as JSON: nothing is lost", () => {
    const large = Object.fromEntries(Array.from({ length: 13 }, (_, n) => [`k${n}`, n]));
    expect(columns({ a: large }, { a: large })[0]?.a).toBe(JSON.stringify(large));
    expect(columns({ a: { b: 1 } }, { a: "text" })).toEqual([{ a: '{"b":1}' }, { a: "text" }]);
    expect(columns({ a: null, b: [1, "x"] })).toEqual([{ a: "", b: "1|x" }]);
  });
});

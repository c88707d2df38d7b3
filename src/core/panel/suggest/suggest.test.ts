import { describe, expect, it } from "vitest";
import { readCatalogue } from "../../catalogue/read.ts";
import { displays } from "../../displays/displays.ts";
import { CatalogueIndex } from "../../engine/index/catalogue-index.ts";
import { profileField } from "../../profile/profile.ts";
import { settingOn } from "../../settings/settings.ts";
import { rankFields } from "./rank.ts";
import { readAtOnce, rowId, suggestFacet, suggestRow } from "./suggest.ts";

/** A catalogue of so many products, of which a column holds what a function says. */
function indexOf(rows: number, columns: Record<string, (row: number) => string | number>): CatalogueIndex {
  const names = Object.keys(columns);
  const lines = Array.from({ length: rows }, (_, row) =>
    [`p${row}`, `Thing ${row}`, ...names.map((name) => `"${columns[name]?.(row)}"`)].join(","),
  );
  return new CatalogueIndex(
    readCatalogue(new TextEncoder().encode([`product_id,title,${names.join(",")}`, ...lines].join("\n"))).catalogue,
  );
}
const profiled = (name: string, values: (row: number) => string | number, rows = 120) => {
  const index = indexOf(rows, { [name]: values });
  const field = index.catalogue.fields.find(
    (one) => one.name.toLowerCase() === name.toLowerCase().replaceAll("_", " "),
  );
  if (!field) throw new Error(`There is no ${name}.`);
  return profileField(index, field);
};
const of =
  <T>(...values: T[]) =>
  (row: number) =>
    values[row % values.length] as T;
const colours = of("red", "blue", "green", "black", "white", "yellow", "brown");

describe("what is made of a field to begin with", () => {
  it.each([
    ["category", of("Plants > Climbers", "Plants > Roses", "Pots"), "tree", "tree"],
    ["washable", of("yes", "no", "yes"), "switch", "any"],
    ["rating", (row: number) => (row % 41) / 10 + 1, "stars", "range"],
    ["price", (row: number) => 5 + row * 1.5, "slider-inputs", "range"],
    ["first shown", (row: number) => `2024-${String((row % 12) + 1).padStart(2, "0")}-1${row % 9}`, "dates", "range"],
    ["colour", colours, "swatches", "any"],
    ["frame", colours, "swatches", "any"],
    ["size", of("S", "M", "L", "XL"), "tiles", "any"],
    ["finish", of("matt", "gloss", "raw"), "tiles", "any"],
    ["maker", (row: number) => `A maker with number ${row % 20}`, "check-boxes", "any"],
    ["street", (row: number) => `A street with number ${row % 70}`, "dropdown", "any"],
    ["shelves", of(1, 2, 3, 4), "tiles", "any"],
  ])("%s is shown as what suits it", (name, values, display, mode) => {
    const profile = profiled(name, values, 240);
    expect(suggestFacet(profile)).toMatchObject({ worth: true, display, mode });
    expect(displays[suggestFacet(profile).display].unsuited?.(profile)).toBeUndefined();
  });

  it.each([
    ["constant", of("same"), /have the same value/],
    ["serial", (row: number) => `Number ${row}`, /too many to choose from/],
    ["rare", (row: number) => (row % 10 === 0 ? `kind ${row % 3}` : ""), /only 12 of 120 products have a value/],
    ["lopsided", (row: number) => (row === 0 ? "odd" : "usual"), /have the same value/],
    ["stock", (row: number) => row, /seldom filter by it/],
    ["description", (row: number) => `Text ${row % 3}`, /its values identify single products/],
  ])("%s is none, and the reason is told", (name, values, reason) => {
    const suggestion = suggestFacet(profiled(name, values));
    expect(suggestion.worth).toBe(false);
    expect(suggestion.reason).toMatch(reason);
  });

  it("has a search inside where a list is too long to read, and a bent scale where a few values lie far above", () => {
    const long = suggestRow(profiled("maker", (row) => `A maker with number ${row % (readAtOnce + 1)}`));
    expect(settingOn(long.settings, "searchInside", "wide")).toBe(true);
    const short = suggestRow(profiled("maker", (row) => `A maker with number ${row % readAtOnce}`));
    expect(settingOn(short.settings, "searchInside", "wide")).toBe(false);
    const skewed = suggestRow(profiled("price", (row) => (row < 115 ? 5 + row / 10 : 900 + row)));
    expect(settingOn(skewed.settings, "scale", "wide")).toBe("bent");
    const even = suggestRow(profiled("price", (row) => 5 + row));
    expect(settingOn(even.settings, "scale", "wide")).toBe("even");
  });

  it("has an id of plain letters, and another for every key", () => {
    const keys = ["light", "光", "色", "größe", "gro-e", `${"a".repeat(31)}b`, `${"a".repeat(31)}c`, "constructor"];
    const ids = keys.map(rowId);
    expect(new Set(ids).size).toBe(keys.length);
    for (const id of ids) expect(id).toMatch(/^f-[\w-]*$/);
    expect(rowId("light")).toBe("f-light");
  });
});

describe("which fields come first", () => {
  it("puts what people choose by before what they count, and one of two that say the same", () => {
    const index = indexOf(240, {
      votes: (row) => (row * 7) % 240,
      "colour code": (row) => `code-${row % 7}`,
      colour: colours,
      maker: (row) => `Maker ${(row * 5) % 11}`,
    });
    const names = rankFields(index, 4).map(({ profile }) => profile.field.name.toLowerCase());
    const [first, second] = names;
    expect([first, second].sort()).toEqual(["colour", "maker"]);
    // Seven codes for seven colours ask nothing that the colours have not asked.
    expect(names.indexOf("colour code")).toBe(3);
  });

  it("takes no more than are wanted, and the same ones every time", () => {
    const index = indexOf(
      100,
      Object.fromEntries(
        Array.from({ length: 9 }, (_, n) => [`field ${n}`, (row: number) => `v${(row * (n + 3)) % (n + 2)}`]),
      ),
    );
    const once = rankFields(index, 5).map(({ profile }) => profile.field.key);
    expect(once).toHaveLength(5);
    expect(rankFields(index, 5).map(({ profile }) => profile.field.key)).toEqual(once);
    expect(rankFields(index, 3).map(({ profile }) => profile.field.key)).toEqual(once.slice(0, 3));
  });
});

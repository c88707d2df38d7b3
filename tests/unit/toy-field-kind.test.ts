import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { fieldKindWords } from "../../src/core/catalogue/field-kind-words.ts";
import { type FieldKindFacts, fieldKindFacts, fromNumber, toNumber } from "../../src/core/catalogue/field-kinds.ts";
import { cellValue } from "../../src/core/catalogue/mend/cell-value.ts";
import { valuePlaces } from "../../src/core/catalogue/order-by.ts";
import { readCatalogue } from "../../src/core/catalogue/read.ts";
import { writeCsv } from "../../src/core/catalogue/write-csv.ts";
import { countsOf } from "../../src/core/engine/engine.ts";
import { CatalogueIndex } from "../../src/core/engine/index/catalogue-index.ts";
import { LocalEngine } from "../../src/core/engine/local-engine.ts";
import { emptySelection } from "../../src/core/engine/selection.ts";
import { suggestFacet } from "../../src/core/panel/suggest/suggest.ts";
import { profileField } from "../../src/core/profile/profile.ts";
import { formatterOf } from "../../src/storefront/panel/format.ts";

// A kind of values that only this test knows: versions like 1.10.2, with their own order. It is read, counted, sorted,
// shown and written by its facts and its words alone.
const version: FieldKindFacts = {
  line: {
    parse: (text) => {
      const parts = text.split(".").map(Number);
      const isWhole = parts.length === 3 && parts.every((part) => Number.isInteger(part) && part >= 0 && part < 1000);
      return isWhole ? parts.reduce((place, part) => place * 1000 + part, 0) : Number.NaN;
    },
    write: (place) => [Math.floor(place / 1e6), Math.floor(place / 1000) % 1000, place % 1000].join("."),
  },
};
const words = { label: "version", one: "a version", example: "1.10.2" };

beforeAll(() => {
  Object.assign(fieldKindFacts, { version });
  Object.assign(fieldKindWords, { version: words });
});
afterAll(() => {
  Reflect.deleteProperty(fieldKindFacts, "version");
  Reflect.deleteProperty(fieldKindWords, "version");
});

const csv = "product_id,title,Firmware\na,Alder,1.9.0\nb,Birch,1.10.2\nc,Cedar,1.2.0\nd,Dogwood,1.10.2\n";
const open = () => {
  const { catalogue } = readCatalogue(new TextEncoder().encode(csv));
  const index = new CatalogueIndex(catalogue);
  const field = catalogue.fields.find(({ key }) => key === "firmware");
  if (!field) throw new TypeError("The column is a field.");
  return { catalogue, index, field, engine: new LocalEngine(index) };
};

describe("a kind of values by its definition alone", () => {
  it("is found in a file, and written again as it was", () => {
    const { catalogue, field } = open();
    expect(field.kind).toBe("version");
    expect(writeCsv(catalogue)).toContain("1.10.2");
    expect(writeCsv(readCatalogue(new TextEncoder().encode(writeCsv(catalogue))).catalogue)).toBe(writeCsv(catalogue));
  });

  it("is counted in ranges along its own line", () => {
    const { catalogue, engine, field } = open();
    const answer = engine.ask(
      countsOf([
        { field: "firmware", mode: "range" },
        { field: "firmware", mode: "any" },
      ]),
    );
    expect(answer.total).toBe(4);
    const column = catalogue.columns.get("firmware");
    const places = column && [...valuePlaces(field, column)];
    expect(places).toEqual(column?.spellings.map((text) => toNumber(text, field.kind)));
    const from = toNumber("1.9.0", field.kind);
    const selection = { ...emptySelection, choices: { firmware: { min: from } } };
    const ranged = engine.ask(countsOf([{ field: "firmware", mode: "range" }], selection));
    expect(ranged.total).toBe(3);
    expect(fromNumber(from, field.kind)).toBe("1.9.0");
  });

  it("sorts products by its own order", () => {
    const { engine } = open();
    const ids = (sort: string) => engine.ask({ ...countsOf([]), sort, size: 10 }).products.map(({ id }) => id);
    expect(ids("firmware")).toEqual(["c", "a", "b", "d"]);
    expect(ids("-firmware").slice(0, 2).sort()).toEqual(["b", "d"]);
  });

  it("is shown to shoppers, suggested and corrected", () => {
    const { field, index } = open();
    expect(formatterOf(field, "EUR")(toNumber("1.10.2", field.kind))).toBe("1.10.2");
    expect(suggestFacet(profileField(index, field)).worth).toBe(true);
    expect(cellValue("1.11.0", field)).toEqual({ values: ["1.11.0"] });
    expect(cellValue("newest", field)).toEqual({
      fault: "“newest” is not a version. Firmware contains versions, such as 1.10.2.",
    });
  });
});

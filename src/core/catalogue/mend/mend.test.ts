import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { shops } from "../../../../tests/random-shop.ts";
import { edited } from "../../document/edit.ts";
import { checkDocument } from "../../document/kind.ts";
import { InvalidDocument } from "../../document/schema.ts";
import { CatalogueIndex } from "../../engine/index/catalogue-index.ts";
import { type Catalogue, valuesOf } from "../catalogue.ts";
import { readCatalogue } from "../read.ts";
import { applyMends, mendedProducts } from "./apply.ts";
import { addMend, removeMend } from "./edit.ts";
import { mendsKind } from "./kind.ts";
import type { Mend, NewMend } from "./mend-schema.ts";
import { mendWords } from "./mend-words.ts";

const { catalogue } = readCatalogue(
  new TextEncoder().encode(
    `product_id,sku,title,colour,height,stock
a,a1,One,Sea green / white,40 cm,1
a,a2,One,white,0.5 m,0
b,b1,Two,White,120 mm,2
c,,Three,Red|white,tall,
`,
  ),
);
const said = (of: Catalogue, key: string) =>
  Array.from({ length: 4 }, (_, variant) => valuesOf(of, key, variant).join("|"));
const mendedBy = (...mends: NewMend[]) =>
  applyMends(
    catalogue,
    mends.map((mend, i) => ({ ...mend, id: `m${i}` }) as Mend),
  );

describe("mends of a field's reading", () => {
  const described = (more: Omit<Extract<NewMend, { kind: "field" }>, "kind">) => mendedBy({ kind: "field", ...more });
  const fieldIn = (of: Catalogue, key: string) => of.fields.find((field) => field.key === key);

  it("give it another name and unit, and hold in the next file", () => {
    const mended = described({ field: "stock", name: "In the shed", unit: "pots" });
    expect(fieldIn(mended, "stock")).toMatchObject({ name: "In the shed", unit: "pots", kind: "number" });
    expect(said(mended, "stock")).toEqual(["1", "0", "2", ""]);
    const again = applyMends(catalogue, [{ id: "m1", kind: "field", field: "height", values: "text", name: "Tall" }]);
    expect(fieldIn(again, "height")).toMatchObject({ name: "Tall", given: "text" });
  });

  it("part its cells otherwise, or make one value of them", () => {
    expect(said(described({ field: "colour", separator: "/" }), "colour")[0]).toBe("Sea green|white");
    expect(said(described({ field: "colour", separator: "" }), "colour")[3]).toBe("Red, white");
  });

  it("read numbers and days as they are written", () => {
    const { catalogue: written } = readCatalogue(
      new TextEncoder().encode('product_id,size,sown\na,"1,5",31.3.2026\nb,"2,5",1.4.2026\n'),
    );
    const read = applyMends(written, [
      { id: "m1", kind: "field", field: "size", decimal: "," },
      { id: "m2", kind: "field", field: "sown", dates: "dmy" },
    ]);
    expect([fieldIn(read, "size")?.kind, fieldIn(read, "sown")?.kind]).toEqual(["number", "date"]);
    expect([0, 1].map((v) => valuesOf(read, "sown", v)[0])).toEqual(["2026-03-31", "2026-04-01"]);
    expect([0, 1].map((v) => valuesOf(read, "size", v)[0])).toEqual(["1.5", "2.5"]);
  });

  it("make it the product's, which states what any of its variants does, or each variant's own", () => {
    const shared = described({ field: "colour", level: "product" });
    expect(said(shared, "colour").slice(0, 2)).toEqual(["Sea green / white|white", "Sea green / white|white"]);
    expect(new CatalogueIndex(shared).level("colour")).toBe("product");
    expect(new CatalogueIndex(catalogue).level("title")).toBe("product");
    expect(new CatalogueIndex(described({ field: "title", level: "variant" })).level("title")).toBe("variant");
  });

  it("are one a field: what is said anew takes the place of what was", () => {
    const first = edited(mendsKind.fresh(""), addMend({ kind: "field", field: "colour", name: "Tone" }, "Colour"));
    const next = edited(first, addMend({ kind: "field", field: "colour", unit: "" }, "Colour"));
    expect(next.mends).toEqual([{ id: "m2", kind: "field", field: "colour", unit: "" }]);
    expect(checkDocument(mendsKind, next)).toEqual(next);
    expect(
      mendWords({ kind: "field", field: "c", name: "Tone", values: "number", decimal: ",", level: "variant" }, "C"),
    ).toBe("C: called “Tone”, read as number, with a decimal comma, by variant");
  });
});

describe("mends", () => {
  it("merge, rename, split and take away values, whatever their spelling", () => {
    expect(said(mendedBy({ kind: "values", field: "colour", from: ["white"], to: ["Ivory"] }), "colour")).toEqual([
      "Sea green / white",
      "Ivory",
      "Ivory",
      "Red|Ivory",
    ]);
    expect(
      said(
        mendedBy({ kind: "values", field: "colour", from: ["SEA  GREEN / white"], to: ["Sea green", "White"] }),
        "colour",
      )[0],
    ).toBe("Sea green|White");
    expect(said(mendedBy({ kind: "values", field: "colour", from: ["white", "red"], to: ["Pale"] }), "colour")).toEqual(
      ["Sea green / white", "Pale", "Pale", "Pale"],
    );
    expect(said(mendedBy({ kind: "values", field: "colour", from: ["white"], to: [] }), "colour")[3]).toBe("Red");
  });

  it("set values of whole products and of one variant, by SKU or by place", () => {
    expect(said(mendedBy({ kind: "set", field: "colour", products: ["a", "none"], to: ["Blue"] }), "colour")).toEqual([
      "Blue",
      "Blue",
      "White",
      "Red|white",
    ]);
    expect(
      said(mendedBy({ kind: "cell", field: "colour", product: "a", variant: "a2", to: ["Grey"] }), "colour")[1],
    ).toBe("Grey");
    expect(said(mendedBy({ kind: "cell", field: "colour", product: "c", variant: "#1", to: [] }), "colour")[3]).toBe(
      "",
    );
  });

  // Source: SI Brochure, 9th edition: 1 m is 100 cm is 1000 mm.
  it("make numbers of values with units, and leave what is none", () => {
    const mended = mendedBy({ kind: "units", field: "height", unit: "cm" });
    expect(said(mended, "height")).toEqual(["40", "50", "12", "tall"]);
    expect(mended.fields.find(({ key }) => key === "height")).toMatchObject({ kind: "number", unit: "cm" });
  });

  it("are done in order, and what is computed follows", () => {
    const mended = mendedBy(
      { kind: "values", field: "colour", from: ["white"], to: ["Ivory"] },
      { kind: "values", field: "colour", from: ["ivory"], to: ["Chalk"] },
      { kind: "cell", field: "stock", product: "b", variant: "b1", to: ["0"] },
    );
    expect(said(mended, "colour")[1]).toBe("Chalk");
    expect(said(mended, "availability")).toEqual(["in stock", "out of stock", "out of stock", ""]);
  });

  it("never touch the imported catalogue, and do nothing where their field or product is gone", () => {
    const before = structuredClone(catalogue);
    mendedBy(
      { kind: "values", field: "colour", from: ["white"], to: [] },
      { kind: "units", field: "height", unit: "cm" },
    );
    expect(catalogue).toEqual(before);
    expect(
      mendedBy(
        { kind: "values", field: "none", from: ["white"], to: [] },
        { kind: "set", field: "colour", products: ["none"], to: ["x"] },
      ),
    ).toEqual(catalogue);
  });

  it("say how many products they change", () => {
    const count = (mend: NewMend) => mendedProducts(catalogue, { ...mend, id: "m" } as Mend);
    expect(count({ kind: "values", field: "colour", from: ["white"], to: ["Ivory"] })).toBe(3);
    expect(count({ kind: "values", field: "colour", from: ["none"], to: ["Ivory"] })).toBe(0);
    expect(count({ kind: "units", field: "height", unit: "cm" })).toBe(2);
    expect(count({ kind: "set", field: "colour", products: ["a", "b", "x"], to: [] })).toBe(2);
  });

  it("with nothing to do change nothing at all", () => {
    fc.assert(
      fc.property(shops, (shop) => {
        const mends: Mend[] = [{ id: "m1", kind: "values", field: "colour", from: ["no such colour"], to: ["x"] }];
        const mended = applyMends(shop, mends);
        for (const { key } of shop.fields)
          for (let v = 0; v < shop.variantStart[shop.productIds.length]; v++)
            expect(valuesOf(mended, key, v)).toEqual(valuesOf(shop, key, v));
      }),
    );
  });
});

describe("the list of mends", () => {
  const cell = (text: string): NewMend => ({ kind: "cell", field: "colour", product: "a", variant: "a1", to: [text] });

  it("grows by steps in words, keeps one mend a cell, and lets each be taken back", () => {
    const edits = [
      addMend({ kind: "values", field: "colour", from: ["white"], to: ["Ivory"] }, "Colour"),
      addMend(cell("x"), "Colour"),
      addMend(cell("y"), "Colour"),
    ];
    const document = edited(mendsKind.fresh(""), ...edits);
    expect(document.mends.map(({ id }) => id)).toEqual(["m1", "m3"]);
    expect(edits[0].words).toBe("Colour: “white” to “Ivory”");
    expect(mendWords(document.mends[1], "Colour")).toBe("Colour: “y” for a, variant a1");
    expect(edited(document, removeMend("m1", "")).mends.map(({ id }) => id)).toEqual(["m3"]);
    expect(checkDocument(mendsKind, JSON.parse(JSON.stringify(document)))).toEqual(document);
  });

  it("is refused with the path of the fault", () => {
    const bad = { format: 1, mends: [{ id: "m1", kind: "values", field: "colour", from: [], to: [] }] };
    expect(() => checkDocument(mendsKind, bad)).toThrow(InvalidDocument);
    try {
      checkDocument(mendsKind, bad);
    } catch (error) {
      expect((error as InvalidDocument).path).toBe("mends[0].from");
    }
    fc.assert(
      fc.property(fc.anything(), (value) => {
        expect(() => checkDocument(mendsKind, value)).toThrow(InvalidDocument);
      }),
    );
  });
});

import { describe, expect, it } from "vitest";
import { nursery } from "../../../tests/mended.ts";
import { fieldTitle } from "./field-title.ts";
import { putAllWords } from "./languages.ts";
import { sayOf } from "./spoken.ts";

putAllWords();

describe("the name of a field for shoppers", () => {
  it("is in their language if the field is a built-in one with its usual name", () => {
    const price = { role: "price", name: "Price" } as const;
    expect(["en", "de", "de-AT", "fr", "ja", "xx"].map((tag) => fieldTitle(price, sayOf(tag)))).toEqual([
      ...["Price", "Preis", "Preis", "Prix", "価格", "Price"],
    ]);
  });

  it("stays as the shop has it otherwise", () => {
    const german = sayOf("de");
    expect(fieldTitle({ role: "price", name: "Unser Preis" }, german)).toBe("Unser Preis");
    expect(fieldTitle({ role: "attribute", name: "Price" }, german)).toBe("Price");
  });

  it("is known for every built-in field of the demo that can be a facet", () => {
    const inside = ["product_id", "sku", "title", "description", "list_price", "image", "attribute"];
    const built = nursery.catalogue.fields.filter(({ role }) => !inside.includes(role));
    expect(built.length).toBeGreaterThan(6);
    for (const field of built) expect(fieldTitle(field, sayOf("ja")), field.key).not.toBe(field.name);
  });
});

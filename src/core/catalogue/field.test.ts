import { describe, expect, it } from "vitest";
import { fieldKey, knownRole } from "./field.ts";
import { suggestRoles } from "./suggest-reading.ts";

describe("fields", () => {
  it("knows the format's columns whatever the case", () => {
    expect(["List Price", "LIST_PRICE", " product_id ", "On sale", "colour"].map(knownRole)).toEqual([
      "list_price",
      "list_price",
      "product_id",
      "on_sale",
      undefined,
    ]);
  });

  it("makes keys that are safe, and never two alike or one of the page's own", () => {
    const taken = new Set<string>();
    const keys = ["Flower colour", "Flower-Colour", "page", "Größe", "%%%", "constructor"].map((heading) => {
      const key = fieldKey(heading, taken);
      taken.add(key);
      return key;
    });
    expect(keys).toEqual(["flower-colour", "flower-colour-2", "page-2", "große", "field", "constructor-2"]);
  });

  it("keeps the words of other scripts as they are written", () => {
    const names = ["日本語パネル", "शब्द", "الأدوات", "Ärger über Öl", "Ёлка", "🌱 Plants"];
    expect(names.map((name) => fieldKey(name, new Set()))).toEqual([
      "日本語パネル",
      "शब्द",
      "الأدوات",
      "arger-uber-ol",
      "елка",
      "plants",
    ]);
    expect(["..", "🌱"].map((name) => fieldKey(name, new Set(), "untitled"))).toEqual(["untitled", "untitled"]);
  });

  it("guesses what other headings usually mean, and lets the format's own names go first", () => {
    const roles = (...header: string[]) => suggestRoles(header).map(({ as }) => as);
    expect(roles("ID", "Product Name", "vendor", "Qty", "size")).toEqual([
      "product_id",
      "title",
      "brand",
      "stock",
      "attribute",
    ]);
    expect(roles("id", "product_id", "name", "title")).toEqual(["attribute", "product_id", "attribute", "title"]);
  });
});

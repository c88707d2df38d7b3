import { describe, expect, it } from "vitest";
import { index } from "../../../tests/demo-page.ts";
import { formatterOf, money } from "./format.ts";

describe("numbers as shoppers read them", () => {
  // Source: CLDR through Intl; ISO 4217 minor units (JPY has none).
  it("carry the currency's sign and decimals", () => {
    expect([money(8.5, "EUR"), money(8, "EUR"), money(1200, "JPY"), money(3.75, "USD")]).toEqual([
      "€8.50",
      "€8",
      "¥1,200",
      "$3.75",
    ]);
    const date = index.field("dispatch-from");
    expect(date && formatterOf(date, "EUR")(0)).toBe("Jan 1, 1970");
  });
});

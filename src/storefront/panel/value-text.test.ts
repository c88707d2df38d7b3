import { describe, expect, it } from "vitest";
import type { Field } from "../../core/catalogue/field.ts";
import { putAllWords } from "../words/languages.ts";
import { sayOf } from "../words/spoken.ts";
import { valueWriter } from "./value-text.ts";

putAllWords();

const field = (given: Partial<Field>): Field => ({ key: "f", name: "F", role: "attribute", kind: "text", ...given });
const write = (given: Partial<Field>, text: string, language = "de") =>
  valueWriter(field(given), { currency: "EUR", language, say: sayOf(language) })(text);

// Source of the formats: CLDR, through Intl.
describe("values as shoppers read them", () => {
  it("are amounts, numbers and days in their language, with all decimals", () => {
    expect(write({ kind: "number", role: "price" }, "15000.25").replace(/\s/g, " ")).toBe("15.000,25 €");
    expect(write({ kind: "number", unit: "kg" }, "2.25")).toBe("2,25 kg");
    expect(write({ kind: "number" }, "0.0001785")).toBe("0,0001785");
    expect(write({ kind: "date" }, "2026-03-31")).toBe("31. März 2026");
    expect(write({ kind: "number" }, "none")).toBe("none");
  });

  it("are years without groups, and text as it is", () => {
    expect(write({ kind: "year" }, "1994")).toBe("1994");
    expect(write({}, "yes")).toBe("yes");
  });

  it("are words of the tool in their language; in English they are the values", () => {
    expect(write({ kind: "yes-no" }, "no")).toBe("Nein");
    expect(write({ kind: "yes-no" }, "ja")).toBe("ja");
    expect(write({ role: "availability" }, "out of stock")).toBe("Ausverkauft");
    expect(write({ role: "availability" }, "in stock", "en")).toBe("in stock");
    expect(write({ kind: "yes-no" }, "yes", "en")).toBe("yes");
  });
});

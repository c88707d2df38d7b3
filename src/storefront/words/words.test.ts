import { describe, expect, it } from "vitest";
import { en } from "./en.ts";
import { languages, putAllWords } from "./languages.ts";
import { type Phrase, sayer, type WordKey } from "./say.ts";
import { sayOf } from "./spoken.ts";

const forms = (phrase: Phrase): string[] => (typeof phrase === "string" ? [phrase] : Object.values(phrase));
const places = (phrase: Phrase) => [...new Set(forms(phrase).flatMap((text) => text.match(/\{\w+\}/g) ?? []))].sort();

describe("the words that shoppers read", () => {
  it("are there in every language, with the same values in them and a form for each of its plurals", () => {
    for (const [language, words] of Object.entries(languages)) {
      const plurals = new Intl.PluralRules(language).resolvedOptions().pluralCategories;
      for (const key of Object.keys(en) as WordKey[]) {
        expect([language, key, places(words[key])]).toEqual([language, key, places(en[key])]);
        for (const text of forms(words[key])) expect(text.trim()).not.toBe("");
        const phrase = words[key];
        if (typeof phrase !== "string") expect(Object.keys(phrase)).toEqual(expect.arrayContaining(plurals));
      }
    }
  });

  // Source: CLDR plural rules through Intl: English has one and other.
  it("choose the plural, and put values in as they are", () => {
    const say = sayer(en, "en");
    expect([say("found", { n: 1 }), say("found", { n: 2 }), say("found", { n: 0 })]).toEqual([
      "1 product",
      "2 products",
      "0 products",
    ]);
    expect(say("remove", { facet: "{text}", text: "$&" })).toBe("Remove {text}: $&");
  });

  // Source: CLDR number patterns through Intl: groups by comma in English, by point in German; one of four digits is no group in Spanish.
  it("write numbers as the language does", () => {
    putAllWords();
    expect(sayOf("en")("found", { n: 12_345 })).toBe("12,345 products");
    expect(sayOf("de")("outOf", { n: 12_345 })).toContain("12.345");
    expect(sayOf("de")("ratingOf", { n: 4.5 })).toContain("4,5");
    expect(["en", "de", "es", "xx"].map((language) => sayOf(language).number(1234))).toEqual([
      "1,234",
      "1.234",
      "1234",
      "1,234",
    ]);
    expect(sayOf("en")("remove", { facet: "Year", text: "1234" })).toBe("Remove Year: 1234");
  });

  it("are English where a language has none, and those of the language without its region", () => {
    putAllWords();
    expect(sayOf("de-AT")("basket", { n: 2 })).toBe("Warenkorb 2");
    expect(sayOf("xx")("basket", { n: 2 })).toBe("Basket 2");
    expect(sayOf("de")).toBe(sayOf("de"));
  });
});

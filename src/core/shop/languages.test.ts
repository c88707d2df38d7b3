import { describe, expect, it } from "vitest";
import { readLanguages } from "./languages.ts";

describe("languages of a shop", () => {
  it("are read as BCP 47 has them, each once", () => {
    // Source: RFC 5646, the forms of section 2.1.1; names of languages by CLDR.
    expect(readLanguages("DE, pt-br  de zh-hant")).toEqual({ tags: ["de", "pt-BR", "zh-Hant"] });
    expect(readLanguages("")).toEqual({ tags: [] });
  });

  it("are refused where there is no such language", () => {
    for (const text of ["german", "x y", "de_DE", "12", "qqqq"]) expect(readLanguages(text)).toHaveProperty("fault");
    expect(readLanguages("fr german")).toEqual({
      fault: "“german” is not a language tag. Write tags like: de fr pt-BR",
    });
  });
});

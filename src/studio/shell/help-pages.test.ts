import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { helpFor, helpPages, meaningIn } from "./help-pages.ts";
import { shopViews } from "./views.ts";

const glossary = readFileSync("docs/glossary.md", "utf8");

describe("the help", () => {
  it("has a page for every view of a shop, and for the views below them", () => {
    for (const { to, label } of shopViews("nursery")) expect(helpFor(to)?.title).toBe(label);
    expect(helpFor("/shops/nursery/catalogue/products")?.title).toBe("Catalogue");
    expect(helpFor("/new")).toBeUndefined();
    expect(helpFor("/shops/nursery/nowhere")).toBeUndefined();
  });

  it("uses words that the glossary explains", () => {
    const missing = helpPages.flatMap(({ words }) => words).filter((word) => !meaningIn(glossary, word));
    expect(missing).toEqual([]);
    expect(meaningIn(glossary, "no such word")).toBeUndefined();
  });
});

import { describe, expect, it } from "vitest";
import type { Site } from "./shop-schema.ts";
import { defaultSite, siteFault, siteOf } from "./site.ts";

const fault = (change: Partial<Site>, keys: string[] = ["light", "price"]) =>
  siteFault({ ...defaultSite, ...change }, keys);

describe("how panels stand on a site", () => {
  it("is usual until the designer says otherwise", () => {
    expect(siteOf({ site: undefined })).toBe(defaultSite);
    expect(fault({})).toBeUndefined();
  });

  it.each(["/trellis/", "./trellis/", "../files/trellis/", "https://files.example/trellis/"])(
    "has its files at %s",
    (at) => {
      expect(fault({ at })).toBeUndefined();
    },
  );

  it.each([
    "/trellis",
    "",
    "trellis/",
    "//files.example/",
    "javascript:alert(1)/",
    "data:text/html,/",
    "/a\\b/",
    "/a\tb/",
  ])("refuses %j as their place, and says what one is like", (at) => {
    expect(fault({ at })).toMatch(/^The files can’t be at .*\/trellis\//);
  });

  it("refuses addresses of products and choices that could run or lead elsewhere", () => {
    for (const address of ["javascript:alert(1)", "//elsewhere.example", "vbscript:x", " /a", "\u0000/a"]) {
      expect(fault({ link: address }), address).toMatch(/^Products can’t be at/);
      expect(fault({ action: address }), address).toMatch(/^Choices can’t go to/);
    }
    expect(fault({ link: "https://shop.example/p/{id}", action: "/found" })).toBeUndefined();
    expect(fault({ action: "" })).toBeUndefined();
  });

  it("wants names in queries that are names, and no two alike, ends of ranges and words of its own included", () => {
    expect(fault({ names: { light: "li ght" } })).toMatch(/“light” has the name “li ght”/);
    expect(fault({ names: { light: "price" } })).toMatch(/both have the name “price”/);
    expect(fault({ names: { light: "price.min" } })).toMatch(/both have the name “price.min”/);
    expect(fault({ names: { light: "sort" } })).toMatch(/both have the name “sort”/);
    expect(fault({ names: { q: "search", light: "q" } })).toBeUndefined();
    expect(fault({ names: { light: "光", price: "preis" } })).toBeUndefined();
    // A name of a field that no panel asks takes nothing from others.
    expect(fault({ names: { light: "x", gone: "x" } })).toBeUndefined();
  });
});
